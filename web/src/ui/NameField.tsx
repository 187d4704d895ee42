import { useEffect, useRef, useState } from 'react';
import { TextField } from './Field';

/**
 * A name by which other things go, so that it is changed as a whole: when the field is left or Enter is pressed, not at each
 * key. A name that is refused stays in the field with the reason; Escape takes it back, but where Escape closes the panel
 * around it, what was typed counts as in the panel's other fields.
 */
export function NameField({
  label,
  value,
  onName,
  maxLength,
  hideLabel,
  className,
}: {
  label: string;
  value: string;
  /** Takes the new name, or says why not. */
  onName: (name: string) => Promise<string | undefined>;
  maxLength?: number;
  hideLabel?: boolean;
  className?: string;
}) {
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const sending = useRef(false);
  const forget = () => {
    setTyped(undefined);
    setRefused(undefined);
  };
  const finish = async () => {
    if (sending.current || typed === undefined) return;
    if (typed.trim() === value) return forget();
    sending.current = true;
    const why = await onName(typed.trim());
    sending.current = false;
    if (why) setRefused(why);
    else forget();
  };
  // Where Escape closes the panel around it the field goes without being left.
  const latest = useRef({ typed, value, onName });
  useEffect(() => {
    latest.current = { typed, value, onName };
  });
  useEffect(
    () => () => {
      const { typed: left, value: before, onName: take } = latest.current;
      if (!sending.current && left !== undefined && left.trim() !== before) void take(left.trim());
    },
    [],
  );
  return (
    <TextField
      label={label}
      hideLabel={hideLabel}
      className={className}
      maxLength={maxLength}
      value={typed ?? value}
      error={refused}
      onChange={(event) => {
        setTyped(event.target.value);
        setRefused(undefined);
      }}
      onBlur={() => void finish()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          void finish();
        } else if (
          event.key === 'Escape' &&
          typed !== undefined &&
          !event.currentTarget.closest('[role=dialog]')
        ) {
          event.stopPropagation();
          forget();
        }
      }}
    />
  );
}
