import { useQuery } from '@tanstack/react-query';
import { useId, useRef, useState, type InputHTMLAttributes } from 'react';
import { api, type Schemas } from '../../api/client';
import { useEditing } from './editing';

const WORD = /[\p{L}][\p{L}\p{M}\p{N}_]*$/u;
const MOST = 7;

interface Offer {
  /** What is put in. */
  text: string;
  says: string;
}

/** Every rule that a formula may call, with what it is given. */
export const useRules = (asked = true) =>
  useQuery({
    queryKey: ['constructions'],
    queryFn: () => api.get<Schemas['ConstructionsView']>('/api/constructions'),
    staleTime: Infinity,
    enabled: asked,
  });

/** A field for a formula: it offers the measurements and rules that begin with what is being typed. */
export function FormulaInput({
  value,
  onType,
  ...rest
}: { value: string; onType: (text: string) => void } & Omit<
  InputHTMLAttributes<HTMLInputElement>,
  'value' | 'onChange'
>) {
  const list = useId();
  const input = useRef<HTMLInputElement>(null);
  const [word, setWord] = useState('');
  const [at, setAt] = useState(-1);
  const offers = useOffers(word);
  const open = offers.length > 0;
  const look = (text: string, caret: number | null) => {
    setWord(WORD.exec(text.slice(0, caret ?? text.length))?.[0] ?? '');
    setAt(-1);
  };
  const take = (offer: Offer) => {
    const caret = input.current?.selectionStart ?? value.length;
    const before = value.slice(0, caret - word.length) + offer.text;
    onType(before + value.slice(caret));
    setWord('');
    // The caret goes behind what was put in, once it is drawn; within the bracket of a rule.
    requestAnimationFrame(() => {
      const end = before.length - (offer.text.endsWith(')') ? 1 : 0);
      input.current?.setSelectionRange(end, end);
    });
  };
  return (
    <div className="relative">
      <input
        ref={input}
        autoComplete="off"
        maxLength={1000}
        className="field"
        role="combobox"
        aria-expanded={open}
        aria-controls={open ? list : undefined}
        aria-autocomplete="list"
        aria-activedescendant={open && at >= 0 ? `${list}-${at}` : undefined}
        {...rest}
        value={value}
        onChange={(event) => {
          onType(event.target.value);
          look(event.target.value, event.target.selectionStart);
        }}
        onBlur={(event) => {
          setWord('');
          rest.onBlur?.(event);
        }}
        onKeyDown={(event) => {
          if (open && event.key === 'ArrowDown') {
            event.preventDefault();
            setAt((at + 1) % offers.length);
          } else if (open && event.key === 'ArrowUp') {
            event.preventDefault();
            setAt(at <= 0 ? offers.length - 1 : at - 1);
          } else if (open && event.key === 'Escape') {
            event.stopPropagation();
            setWord('');
          } else if (open && at >= 0 && (event.key === 'Enter' || event.key === 'Tab')) {
            event.preventDefault();
            const offer = offers[at];
            if (offer) take(offer);
          } else {
            rest.onKeyDown?.(event);
          }
        }}
      />
      {open && (
        <ul
          id={list}
          role="listbox"
          aria-label="What it may be"
          className="absolute top-full left-0 z-30 mt-1 max-h-[260px] w-max max-w-[min(440px,90vw)] min-w-full overflow-y-auto rounded border border-line-strong bg-white py-1 shadow-lg"
        >
          {offers.map((offer, i) => (
            <li
              key={offer.text}
              id={`${list}-${i}`}
              role="option"
              aria-selected={i === at}
              className={`cursor-pointer px-3 py-1.5 ${i === at ? 'bg-woad-tint' : ''}`}
              // Before the field is left.
              onMouseDown={(event) => {
                event.preventDefault();
                take(offer);
              }}
            >
              <b>{offer.text}</b> <span className="text-[13.5px] text-soft">{offer.says}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What begins with a word: the design's own measurements first. */
function useOffers(word: string): Offer[] {
  const { document } = useEditing();
  const { data } = useRules(word.length > 1);
  if (word.length < 1) return [];
  const begins = (name: string) => name.toLowerCase().startsWith(word.toLowerCase()) && name !== word;
  const own = document.measurements
    .filter(({ symbol }) => begins(symbol))
    .map(({ symbol, label }) => ({ text: symbol, says: label }));
  const rules = data && word.length > 1 ? rulesOf(data) : [];
  return [
    ...own,
    ...rules
      .filter(({ name }) => begins(name))
      .map((rule) => ({
        text: `${rule.name}()`,
        says: rule.parameters.map(({ label }) => label).join('; '),
      })),
  ].slice(0, MOST);
}

function rulesOf(data: Schemas['ConstructionsView']) {
  const all = data.subjects
    .flatMap((subject) => subject.ways)
    .flatMap(({ cut, wanted }) => (wanted ? [cut, wanted] : [cut]));
  return [...new Map(all.map((rule) => [rule.name, rule])).values()];
}
