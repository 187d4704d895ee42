import { Link } from 'react-router';
import type { Schemas } from '../../api/client';

const WORDS: Record<Schemas['FirstStep']['key'], { to: string; title: string; why: string }> = {
  SETTINGS: {
    to: '/settings',
    title: 'Say how you measure and what an hour is worth',
    why: 'Inches or centimetres, your currency, your hourly rate and what the stall takes.',
  },
  MATERIALS: {
    to: '/materials',
    title: 'Enter your materials',
    why: 'What lies on your shelf, with its price. You can also name materials while you design, and buy them later.',
  },
  DESIGN: {
    to: '/designs/new',
    title: 'Design your first bag',
    why: 'Choose what kind of thing it is and how large: what to cut, its steps and its price follow.',
  },
  BATCH: {
    to: '/batches/new',
    title: 'Plan your first batch',
    why: 'How many, in which cloth: the cut list, the hours, the cost and the price follow.',
  },
};

/** What to do first in an empty workroom. */
export function FirstSteps({ steps }: { steps: Schemas['FirstStep'][] }) {
  const next = steps.find((step) => !step.done);
  return (
    <section
      aria-label="First steps"
      className="sheet relative mt-4 max-w-[820px] px-6 py-5 after:pointer-events-none after:absolute after:inset-[5px] after:rounded after:border-2 after:border-dashed after:border-woad-mid"
    >
      <h2 className="text-xl">Four steps to your first batch</h2>
      <ol className="relative z-10 mt-3 space-y-1">
        {steps.map((step, i) => {
          const { to, title, why } = WORDS[step.key];
          return (
            <li key={step.key}>
              <Link
                to={to}
                className={`grid grid-cols-[34px_1fr] gap-3 rounded px-2 py-2 hover:bg-woad-tint ${step === next ? 'bg-woad-tint' : ''}`}
              >
                <span
                  className={`grid size-[30px] place-items-center rounded-full border-2 font-bold ${
                    step.done ? 'border-moss bg-moss text-white' : 'border-line-strong bg-white'
                  }`}
                  aria-hidden
                >
                  {step.done ? '✓' : i + 1}
                </span>
                <span>
                  <b className="text-woad">{title}</b>
                  {step.done && <span className="text-moss"> · done</span>}
                  <span className="block text-soft">{why}</span>
                </span>
              </Link>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
