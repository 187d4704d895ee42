import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from 'react';

interface Common {
  label: string;
  /** What is read back, or what may be typed. */
  hint?: ReactNode;
  error?: string;
  hideLabel?: boolean;
}

function Frame({
  id,
  label,
  hint,
  error,
  hideLabel,
  children,
}: Common & { id: string; children: ReactNode }) {
  return (
    <div>
      <label
        htmlFor={id}
        className={hideLabel ? 'sr-only' : 'mb-1 block text-[13px] font-semibold text-soft'}
      >
        {label}
      </label>
      {children}
      <div
        id={`${id}-says`}
        className={`text-[13px] not-empty:mt-1.5 ${error ? 'text-madder' : 'text-soft'}`}
        aria-live="polite"
      >
        {error ?? hint}
      </div>
    </div>
  );
}

export function TextField({
  label,
  hint,
  error,
  hideLabel,
  className = '',
  ...rest
}: Common & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame {...{ id, label, hint, error, hideLabel }}>
      <input
        id={id}
        autoComplete="off"
        aria-invalid={!!error}
        aria-describedby={`${id}-says`}
        className={`field ${className}`}
        {...rest}
      />
    </Frame>
  );
}

export function SelectField({
  label,
  hint,
  error,
  hideLabel,
  children,
  ...rest
}: Common & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <Frame {...{ id, label, hint, error, hideLabel }}>
      <select id={id} aria-invalid={!!error} aria-describedby={`${id}-says`} className="field" {...rest}>
        {children}
      </select>
    </Frame>
  );
}
