import { useRef, useState } from 'react';
import { useSend } from './useSend';

type Fields = Record<string, string>;

const isSame = (one: Fields, other: Fields) => Object.keys(one).every((field) => one[field] === other[field]);

/**
 * A row of fields that is saved when one of them is left. What is typed on while it is on its way stays, and what is left meanwhile
 * follows it.
 *
 * @param stored the row as it is kept; a field shows it until something else is typed there
 * @param isReady whether a row can be saved as it stands; else it waits for the next field
 * @param then takes the answer, and shows what is stored now
 */
export function useTypedRow<Row extends Fields, Got>(
  stored: Row,
  save: (row: Row) => Promise<Got>,
  { isReady = () => true, then }: { isReady?: (row: Row) => boolean; then?: (got: Got) => void } = {},
) {
  const [typed, setTyped] = useState<Partial<Row>>({});
  const onItsWay = useRef<Row>(undefined);
  const follows = useRef<Row>(undefined);
  const { mutateAsync, problem } = useSend(save, (got: Got) => {
    then?.(got);
    const taken = onItsWay.current;
    setTyped((now) => {
      const on = { ...now };
      for (const field of Object.keys(on)) if (on[field] === taken?.[field]) delete on[field];
      return on;
    });
  });
  const shown: Row = { ...stored, ...typed };
  const send = (row: Row) => {
    onItsWay.current = row;
    follows.current = undefined;
    const answered = () => {
      onItsWay.current = undefined;
      if (follows.current) send(follows.current);
    };
    // Also when the page is left meanwhile.
    mutateAsync(row).then(answered, answered);
  };
  return {
    shown,
    type: (field: keyof Row, value: string) => setTyped((now) => ({ ...now, [field]: value })),
    leave: () => {
      if (Object.keys(typed).length === 0 || !isReady(shown)) return;
      if (!onItsWay.current) send(shown);
      else follows.current = isSame(shown, onItsWay.current) ? undefined : shown;
    },
    problem,
    /** Something is typed that can’t be saved yet. */
    isUnready: Object.keys(typed).length > 0 && !isReady(shown),
  };
}
