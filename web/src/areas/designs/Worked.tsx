import { useState } from 'react';

/** Whether what is typed is worked out from other measures, and isn't just a length or a number. */
const isFormula = (text: string) => /[(*]|\b(?!inch)[a-z]\w{2,}/i.test(text);

/**
 * What stands in a field: what was typed; of a formula what it comes to, until somebody asks how it is worked out. Typing over the value
 * takes the formula's place.
 */
export function useWorked(label: string, typed: string, value: string | undefined) {
  const [asked, setAsked] = useState(false);
  const worked = isFormula(typed) && value !== undefined;
  return {
    worked,
    text: worked && !asked ? value : typed,
    /** While something is typed, that stands there, whatever it is. */
    onType: () => setAsked(true),
    onLeave: () => setAsked(false),
    how: worked && (
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
