import { useRef, useState } from 'react';
import { Problem } from '../../api/client';
import type { Row } from './PricesPage';

/** A price in the book: touched, it becomes a field; Enter sets it, Escape leaves it, an empty one is the school's again. */
export function PriceCell({
  row,
  isPending,
  onSet,
}: {
  row: Row;
  isPending: boolean;
  onSet: (price: string) => Promise<unknown>;
}) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const opener = useRef<HTMLButtonElement>(null);
  const name = `Price of ${row.design}${row.size ? `, ${row.size}` : ''}${row.clothId ? `, in ${row.cloth}` : ''}`;

  const leave = () => {
    setTyped(undefined);
    setWrong(undefined);
    window.setTimeout(() => opener.current?.focus());
  };
  const keep = async () => {
    try {
      await onSet(typed?.trim() ?? '');
      leave();
    } catch (failure) {
      if (!(failure instanceof Problem)) throw failure;
      setWrong(failure.errors[0]?.sentence ?? failure.message);
    }
  };

  if (typed === undefined) {
    return (
      <button
        ref={opener}
        type="button"
        aria-label={`${name}: ${row.price?.amount ?? 'none'}${row.own ? ', set' : ', calculated'}. Change it`}
        className="min-h-9 rounded border text-right border-transparent px-2 hover:border-line-strong hover:bg-white"
        onClick={() => setTyped(row.own ? (row.price?.amount ?? '') : '')}
      >
        {row.price ? (
          <span className={row.own && !row.follows ? 'text-[17px] font-bold' : ''}>{row.price.amount}</span>
        ) : (
          <span className="text-soft">none</span>
        )}
        {row.own && !row.follows && row.suggested && row.suggested.minor !== row.price?.minor && (
          <span className="block text-[13px] text-soft">calculated {row.suggested.amount}</span>
        )}
      </button>
    );
  }
  return (
    <span className="inline-block text-right">
      <input
        // It was opened to type in it.
        autoFocus
        aria-label={name}
        aria-invalid={!!wrong}
        inputMode="decimal"
        className="field !w-24 text-right"
        placeholder={row.suggested?.amount}
        value={typed}
        disabled={isPending}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void keep();
          if (event.key === 'Escape') leave();
        }}
        onBlur={() => (typed.trim() === (row.own ? row.price?.amount : '') ? leave() : void keep())}
      />
      {wrong && (
        <span role="alert" className="block max-w-52 text-left text-[13px] whitespace-normal text-madder">
          {wrong}
        </span>
      )}
    </span>
  );
}
