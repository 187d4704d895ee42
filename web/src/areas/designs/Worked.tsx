import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';

/** What a formula of the design comes to in a size; nothing for what is just a length or a number, or can't be worked out. */
export const workedOut = (size: Schemas['SizeSheet'] | undefined, formula: string, at?: string) =>
  size?.workedOut.find(({ formula: its, place }) => its === formula && (!place || place === at));

/**
 * What stands in a field: what was typed; of a formula what it comes to, until somebody asks how it is worked out. Typing over the value
 * takes the formula's place.
 *
 * @param size whose value it is
 * @param at where it stands in the design
 * @param comesTo what is made of the formula's value where that isn't the value itself, like a cut size rounded up
 */
export function useWorked(
  label: string,
  typed: string,
  refused: boolean,
  size: Schemas['SizeSheet'] | undefined,
  at?: string,
  comesTo?: Schemas['LengthView'],
) {
  const units = useUnits();
  const [asked, setAsked] = useState(false);
  const found = refused ? undefined : workedOut(size, typed, at);
  const length = found && (comesTo ?? found.value);
  const value = length ? units.own(length) : found?.text;
  return {
    /** Whether what stands in the field is what a formula comes to. */
    isValue: !!found && !asked,
    text: found && !asked ? (value ?? '') : typed,
    /** What the formula comes to that stands in the field. */
    comesTo: found && asked ? value : undefined,
    /** While something is typed, that stands there, whatever it is. */
    onType: () => setAsked(true),
    onLeave: () => setAsked(false),
    how: found && (
      <button
        type="button"
        aria-pressed={asked}
        aria-label={`How ${label} is worked out`}
        title={asked ? 'Show what it comes to' : 'How it is worked out'}
        className="pointer-events-auto min-h-6 min-w-6 font-semibold text-woad italic hover:underline"
        onClick={() => setAsked(!asked)}
      >
        ƒ
      </button>
    ),
  };
}
