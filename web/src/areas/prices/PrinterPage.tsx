import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { LabelDrawing } from '../../ui/LabelDrawing';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';

type Printer = Schemas['PrinterView'];

/** The simulated label printer as one stands before it: what can go wrong with it, and what came out. */
export default function PrinterPage() {
  useTitle('Label printer');
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'printer'],
    queryFn: () => api.get<Printer>('/api/simulated/label-printer'),
    refetchInterval: 2_000,
  });
  const [labels, setLabels] = useState('100');
  const act = useSend((form: Schemas['ActForm']) => api.post<Printer>('/api/simulated/label-printer', form));
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  const does = (what: Schemas['ActForm']['act']) => () => act.mutate({ act: what });
  return (
    <>
      <header className="mb-3">
        <Link className="text-woad hover:underline" to="/prices/tickets">
          Price tickets
        </Link>
        <h1>Label printer</h1>
        <p className="text-soft">It is simulated: no device is asked, and what it prints is shown here.</p>
      </header>
      <section
        className="sheet mb-4 grid gap-x-6 gap-y-3 px-4 py-3 md:grid-cols-[220px_1fr]"
        aria-label="Printer"
      >
        <PrinterDrawing printer={data} />
        <div className="space-y-3">
          {data.trouble ? (
            <Notice look="care">{data.trouble}</Notice>
          ) : (
            <Notice look="ok">
              Ready. {data.labelsLeft} {data.labelsLeft === 1 ? 'label' : 'labels'} on the roll
              {data.jamsNext && '; the next one gets stuck'}.
            </Notice>
          )}
          <div className="flex flex-wrap items-start gap-2">
            <form
              className="flex items-start gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                act.mutate({ act: 'LOAD', labels });
              }}
            >
              <TextField
                label="Labels on the roll"
                hideLabel
                className="!w-24"
                inputMode="numeric"
                value={labels}
                error={act.problem?.errors.find((one) => one.field === 'labels')?.sentence}
                onChange={(event) => setLabels(event.target.value)}
              />
              <Button type="submit" look="quiet">
                Put a roll in
              </Button>
            </form>
            <Button look="quiet" onClick={does('TAKE_LABELS_AWAY')} disabled={data.labelsLeft === 0}>
              Take the roll out
            </Button>
            {data.jammed ? (
              <Button onClick={does('CLEAR_JAM')}>Take the stuck label out</Button>
            ) : (
              <Button look="quiet" onClick={does('JAM_NEXT')} disabled={data.jamsNext}>
                Let the next one jam
              </Button>
            )}
            <Button look="quiet" onClick={does(data.offline ? 'SWITCH_ON' : 'SWITCH_OFF')}>
              {data.offline ? 'Switch on' : 'Switch off'}
            </Button>
          </div>
        </div>
      </section>
      <section aria-label="What came out">
        <h2 className="mb-2">What came out{data.came > 0 && `: ${data.came}`}</h2>
        {data.latest.length === 0 && <p className="text-soft">Nothing yet.</p>}
        <ul className="flex flex-wrap gap-3">
          {data.latest.map((one) => (
            <li key={one.id} className="text-[13px]">
              <LabelDrawing
                label={one.label}
                className={`h-[130px] w-auto drop-shadow-[0_1px_2px_rgb(20_36_45/0.25)] ${one.crumpled ? 'skew-x-6 -rotate-3 opacity-60' : ''}`}
              />
              {one.crumpled && <span className="text-madder">crumpled</span>}
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** A box with a roll behind and a slot in front; a stuck label hangs askew. */
function PrinterDrawing({ printer }: { printer: Printer }) {
  const roll = Math.min(1, printer.labelsLeft / 100);
  return (
    <svg viewBox="0 0 220 120" className="w-full" aria-hidden>
      <circle
        cx="150"
        cy="42"
        r={14 + roll * 24}
        fill="var(--color-tape)"
        stroke="var(--color-tape-edge)"
        strokeWidth="2"
      />
      <circle cx="150" cy="42" r="7" fill="var(--color-sheet)" stroke="var(--color-line-strong)" />
      <path
        d="M20 60h170a10 10 0 0 1 10 10v36H20z"
        fill="var(--color-rail)"
        stroke="var(--color-line-strong)"
        strokeWidth="2"
      />
      <path d="M20 74H96" stroke="var(--color-ink)" strokeWidth="3" />
      {printer.jammed && (
        <path
          d="M34 74l24 4-4 26-26-6z"
          fill="var(--color-white)"
          stroke="var(--color-madder)"
          strokeWidth="1.5"
        />
      )}
      <circle
        cx="182"
        cy="76"
        r="5"
        fill={
          printer.offline
            ? 'var(--color-line)'
            : printer.trouble
              ? 'var(--color-yellow)'
              : 'var(--color-moss)'
        }
        stroke="var(--color-line-strong)"
      />
    </svg>
  );
}
