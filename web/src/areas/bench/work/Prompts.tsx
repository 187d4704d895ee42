import { useUnits } from '../../../ui/units';
import { nextPrompt, WHEN, type Prompt } from './prompts';
import { BigButton, Key } from './touch';

const heldFor = ({ seconds, times }: Prompt) =>
  `${seconds >= 120 ? `${Math.round(seconds / 60)} min` : `${seconds} s`}${times > 1 ? `, ${times} times` : ''}`;

/**
 * What is done and looked at within a step, one after another: what comes next is large, what must be confirmed is marked, and a row keeps
 * its place when it is ticked.
 */
export function Prompts({
  prompts,
  ticks,
  refused,
  checkKey,
  onTick,
  onWait,
}: {
  prompts: Prompt[];
  ticks: number[];
  /** A count was refused because something isn't confirmed. */
  refused: boolean;
  checkKey: string;
  onTick: (place: number) => void;
  onWait: (prompt: Prompt) => void;
}) {
  const units = useUnits();
  const next = nextPrompt(prompts, ticks);
  if (prompts.length === 0) return null;
  return (
    <ol className="mt-4 space-y-1.5" aria-label="Within this step">
      {prompts.map((prompt, place) => {
        const isTicked = ticks.includes(place);
        const misses = refused && prompt.gate && !isTicked;
        return (
          <li key={place} className="flex items-stretch gap-2">
            <button
              type="button"
              aria-pressed={isTicked}
              onClick={(event) => {
                if (event.detail > 0) event.currentTarget.blur();
                onTick(place);
              }}
              className={`flex min-h-14 flex-1 items-center gap-3 rounded border-2 px-3 py-1.5 text-left ${
                misses
                  ? 'border-madder bg-madder-tint'
                  : place === next
                    ? 'border-woad bg-woad-tint'
                    : 'border-line'
              } ${isTicked ? 'text-soft' : ''}`}
            >
              <span
                aria-hidden
                className={`grid size-8 shrink-0 place-items-center rounded-full border-2 text-lg font-bold ${isTicked ? 'border-moss text-moss' : 'border-line-strong text-transparent'}`}
              >
                ✓
              </span>
              <span className={place === next ? 'text-xl font-bold' : 'text-lg'}>
                <span className="mr-2 text-base font-normal text-soft">{WHEN[prompt.kind]}</span>
                {prompt.text}
                {prompt.mark && (
                  <span>
                    {': '}
                    <b>{units.own(prompt.mark)}</b>{' '}
                    <span className="font-normal text-soft">{units.other(prompt.mark)}</span>
                    {prompt.from && <span className="font-normal"> from {prompt.from}</span>}
                  </span>
                )}
                {prompt.gate && (
                  <span className={`ml-2 text-base ${misses ? 'font-bold text-madder' : 'text-soft'}`}>
                    {isTicked ? 'confirmed' : 'must be confirmed'}
                  </span>
                )}
              </span>
              {place === next && (
                <span className="ml-auto text-woad">
                  <Key of={checkKey} />
                </span>
              )}
            </button>
            {prompt.seconds > 0 && (
              <BigButton look="quiet" onPress={() => onWait(prompt)}>
                {heldFor(prompt)}
              </BigButton>
            )}
          </li>
        );
      })}
    </ol>
  );
}
