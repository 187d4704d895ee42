import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';
import { layered, partsWords, stepTitle } from './words';

type Step = Schemas['StepView'];

/** The cuts in order; each is ticked as it is made. */
export function CutSteps({
  mats,
  now,
  canTick,
  onTick,
  onLook,
}: {
  mats: Schemas['MatView'][];
  /** The step that comes next, or is looked at. */
  now?: string;
  canTick: boolean;
  onTick: (step: Step, done: boolean) => void;
  onLook: (step: Step) => void;
}) {
  const units = useUnits();
  const firsts = mats.map((_, i) => mats.slice(0, i).reduce((sum, mat) => sum + mat.steps.length, 0));
  return (
    <section className="sheet overflow-hidden" aria-label="Cuts in order">
      <h2 className="px-3.5 pt-3 pb-1.5">Cuts in order</h2>
      {mats.map((mat, i) => (
        <div key={mat.cloth}>
          {mats.length > 1 && <h3 className="bg-ground px-3.5 py-1.5 text-[14px]">{mat.title}</h3>}
          <ol>
            {mat.steps.map((step, j) => (
              <li
                key={step.key}
                aria-current={step.key === now ? 'step' : undefined}
                className={`flex gap-1 border-t border-line-faint px-1.5 py-1 ${
                  step.key === now ? 'bg-woad-tint' : ''
                }`}
              >
                <label className="flex size-11 shrink-0 items-center justify-center">
                  <input
                    type="checkbox"
                    className="size-6"
                    checked={step.done}
                    disabled={!canTick}
                    aria-label={`${stepTitle(step, units.own)}: cut`}
                    onChange={(event) => onTick(step, event.target.checked)}
                  />
                </label>
                <button
                  type="button"
                  className="min-h-11 flex-1 py-1 text-left"
                  aria-label={`Show on the mat: ${stepTitle(step, units.own)}`}
                  onClick={() => onLook(step)}
                >
                  <span className={`block font-semibold ${step.done ? 'text-soft line-through' : ''}`}>
                    {(firsts[i] ?? 0) + j + 1}. {stepTitle(step, units.own)}
                  </span>
                  <span className="block text-[14px] text-soft">
                    <Details step={step} />
                  </span>
                </button>
              </li>
            ))}
          </ol>
        </div>
      ))}
    </section>
  );
}

function Details({ step }: { step: Step }) {
  const units = useUnits();
  if (step.kind === 'SQUARE') return <>take off {units.own(step.size)}</>;
  const words = partsWords(step.parts, units.own);
  return (
    <>
      {step.pitch && <span className="block">each begins {units.own(step.pitch)} after the one before</span>}
      {layered(step) && `${layered(step)}: `}
      {words.length < 3
        ? words.join('; ')
        : words.map((one, i) => (
            <span key={i} className="block">
              {one}
            </span>
          ))}
      {step.gives && <b className="block text-ink">{step.gives}</b>}
    </>
  );
}
