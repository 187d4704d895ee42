import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { PIN, PinnedNotes } from '../../ui/PinnedNotes';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';

type Tally = Schemas['TallyView'];

const ENDED = { MENDED: 'mended', SECOND: 'a second', SCRAP: 'scrap' } as const;

/** What became of a batch, against what was planned. */
export default function TallyPage() {
  const id = Number(useParams().id);
  const { data, error } = useQuery({
    queryKey: [...keys.batches, id, 'tally'],
    queryFn: () => api.get<Tally>(`/api/batches/${id}/tally`),
  });
  useTitle(data && `Tally of batch ${id}`);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Counting …</p>;
  const designs = [...new Set(data.lines.map((line) => line.designId))];
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link to={`/batches/${id}`} className="inline-block min-h-6 text-soft hover:underline">
            Batch {id}
          </Link>
          <h1>Tally</h1>
        </div>
        <Sum tally={data} />
      </header>
      {data.open && (
        <div className="mb-3">
          <Notice look="ok">Something of it is still to be made: this is how it stands so far.</Notice>
        </div>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_360px]">
        <div className="min-w-0 space-y-4">
          <Lines lines={data.lines} />
          <Minutes tally={data} />
        </div>
        <div className="space-y-4">
          {data.slips.length > 0 && (
            <section className="sheet px-4 py-3" aria-label="What went wrong">
              <h2>What went wrong</h2>
              <ul className="divide-y divide-line-faint">
                {data.slips.map((slip, i) => (
                  <li key={i} className="py-1.5">
                    <b>{slip.bags}</b> × {slip.step}
                    {slip.reason && `: ${slip.reason}`}
                    <span className="text-soft"> · {ENDED[slip.outcome]}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section className="sheet px-4 py-3" aria-label="What was learnt">
            <h2>What was learnt</h2>
            {data.learnt.length === 0 ? (
              <p className="text-soft">Nothing that changes the next plan.</p>
            ) : (
              <ul className="space-y-1.5">
                {data.learnt.map((one) => (
                  <li key={one}>{one}</li>
                ))}
              </ul>
            )}
          </section>
          {designs.map((design) => (
            <PinnedNotes key={design} pin={{ ...PIN, about: 'DESIGN', designId: design }} />
          ))}
          <Materials tally={data} />
        </div>
      </div>
    </>
  );
}

/** What the whole of it comes to. */
function Sum({ tally }: { tally: Tally }) {
  const units = useUnits();
  const figure = (name: string, value: string, more?: string) => (
    <div>
      <div className="text-[13px] text-soft">{name}</div>
      <div className="text-[22px] leading-tight font-bold">{value}</div>
      {more && <div className="text-[13px] text-soft">{more}</div>}
    </div>
  );
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-2">
      {figure('took', tally.took.text, `planned ${tally.planned.text}`)}
      {tally.cost && figure(`cost (${units.currency})`, tally.cost.amount)}
      {tally.perHour &&
        figure(`left per hour (${units.currency})`, tally.perHour.amount, 'at the prices asked for')}
    </div>
  );
}

/** Strokes as one counts with a pencil: the fifth across the four before. */
function Strokes({ count, className }: { count: number; className: string }) {
  const shown = Math.min(count, 60);
  const fives = Math.ceil(shown / 5);
  if (shown === 0) return null;
  return (
    <svg
      viewBox={`0 0 ${fives * 34} 24`}
      style={{ width: fives * 34 }}
      className={`inline-block h-6 align-middle ${className}`}
      aria-hidden
    >
      {Array.from({ length: shown }, (_, i) => {
        const left = Math.floor(i / 5) * 34 + 3;
        return i % 5 === 4 ? (
          <line key={i} x1={left - 2} x2={left + 24} y1="19" y2="5" stroke="currentColor" strokeWidth="2.4" />
        ) : (
          <line
            key={i}
            x1={left + (i % 5) * 6.5}
            x2={left + (i % 5) * 6.5 + 1}
            y1="3"
            y2="21"
            stroke="currentColor"
            strokeWidth="2.4"
          />
        );
      })}
    </svg>
  );
}

function Lines({ lines }: { lines: Tally['lines'] }) {
  return (
    <section className="sheet px-4 py-3" aria-label="What came out">
      <h2>What came out</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Bags</th>
            <th className="!text-right">well</th>
            <th className="!text-right">seconds</th>
            <th className="!text-right">spoiled</th>
            <th className="!text-right">one was to cost</th>
            <th className="!text-right">one costs</th>
            <th className="!text-right">asked for</th>
            <th className="!text-right">left per hour</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.number}>
              <td>
                {line.what}
                <span className="block text-[13px] text-soft">
                  {line.cloth && `${line.cloth} · `}
                  {line.wanted} wanted, {line.started} begun
                </span>
                <Strokes count={line.good} className="mr-2 text-moss" />
                <Strokes count={line.seconds} className="mr-2 text-weld" />
                <Strokes count={line.scrap} className="text-madder" />
                {line.prices.length > 0 && (
                  <details className="text-[13px]">
                    <summary className="min-h-6 cursor-pointer text-soft">
                      What an hour is left by channel
                    </summary>
                    <ul>
                      {line.prices.map((price) => (
                        <li key={price.channel}>
                          {price.channel}: at {price.price.amount} one leaves {price.left.amount}
                          {price.perHour && (
                            <>
                              , an hour <b>{price.perHour.amount}</b>
                            </>
                          )}
                        </li>
                      ))}
                    </ul>
                  </details>
                )}
              </td>
              <td className="num">
                <b>{line.good}</b>
              </td>
              <td className="num">{line.seconds || ''}</td>
              <td className="num">{line.scrap || ''}</td>
              <td className="num text-soft">{line.plannedCost?.amount}</td>
              <td className="num">
                <b>{line.cost?.amount}</b>
              </td>
              <td className="num">{line.price?.amount}</td>
              <td className="num">{line.perHour?.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Minutes({ tally }: { tally: Tally }) {
  const longest = Math.max(
    ...tally.steps.map((step) => Math.max(step.planned.seconds, step.took.seconds)),
    1,
  );
  return (
    <section className="sheet px-4 py-3" aria-label="Minutes by step">
      <h2>Minutes, planned and true</h2>
      {!tally.timed && (
        <p className="text-soft">Nothing of this batch was timed; its minutes are those of the plan.</p>
      )}
      <table className="listing">
        <thead>
          <tr>
            <th>Step</th>
            <th className="!text-right">planned</th>
            <th className="!text-right">took</th>
            <th>
              <span className="sr-only">Compared</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {tally.steps.map((step) => (
            <tr key={step.name}>
              <td>
                {step.name}
                {tally.timed && step.timed === 0 && (
                  <span className="text-[13px] text-soft"> · not timed</span>
                )}
              </td>
              <td className="num text-soft">{step.planned.text}</td>
              <td className="num">
                <b>{step.took.text}</b>
              </td>
              <td className="w-[180px]" aria-hidden>
                <span
                  className="block h-1.5 rounded bg-line-strong/60"
                  style={{ width: `${(100 * step.planned.seconds) / longest}%` }}
                />
                <span
                  className={`mt-0.5 block h-1.5 rounded ${step.tookMore > 0 ? 'bg-madder' : 'bg-moss'}`}
                  style={{ width: `${(100 * step.took.seconds) / longest}%` }}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-soft">
        Grey is what was planned; below it what it took, red where that was longer. Machines were set up{' '}
        {tally.setUps} {tally.setUps === 1 ? 'time' : 'times'}.
      </p>
    </section>
  );
}

/** What it took off the shelf; what is left on a roll is asked, not assumed. */
function Materials({ tally }: { tally: Tally }) {
  const units = useUnits();
  const request = useRequestId();
  const [left, setLeft] = useState<Record<string, string>>({});
  const keyOf = (material: Tally['materials'][number]) => `${material.materialId} ${material.part}`;
  const typed = tally.materials.filter((material) => left[keyOf(material)]?.trim());
  const send = useSend(
    () =>
      api.post<Schemas['StockTakeDone']>('/api/stock-takes', {
        requestId: request.id,
        reason: `measured after batch ${tally.batchId}`,
        lines: typed.map((material) => ({
          materialId: material.materialId,
          part: material.part,
          bookValue: material.onHand.value,
          there: left[keyOf(material)],
          reason: '',
        })),
      }),
    () => {
      request.renew();
      setLeft({});
    },
  );
  return (
    <section className="sheet px-4 py-3" aria-label="Material">
      <h2>Material</h2>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.length > 0 && !send.isPending) send.mutate(undefined);
        }}
      >
        <ul className="divide-y divide-line-faint">
          {tally.materials.map((material) => {
            const wrong = send.problem?.on(`lines.${typed.indexOf(material)}.there`);
            return (
              <li key={keyOf(material)} className="py-2">
                <div className="flex justify-between gap-3">
                  <span>{material.name}</span>
                  <span className="text-right whitespace-nowrap">
                    <b>{units.amount(material.used)}</b>
                    <span className="text-soft"> of {units.amount(material.planned)}</span>
                  </span>
                </div>
                {material.asked && (
                  <label className="mt-1 flex items-center gap-2 text-[13px] text-soft">
                    really left on the roll
                    <input
                      className="field !min-h-9 w-28"
                      aria-label={`Left of ${material.name}`}
                      aria-invalid={!!wrong}
                      placeholder={material.onHand.text}
                      maxLength={40}
                      value={left[keyOf(material)] ?? ''}
                      onChange={(event) => setLeft({ ...left, [keyOf(material)]: event.target.value })}
                    />
                  </label>
                )}
                {wrong && <p className="text-[13px] text-madder">{wrong}</p>}
              </li>
            );
          })}
        </ul>
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        {send.isSuccess && typed.length === 0 && <p className="text-moss">The shelf is set right.</p>}
        <Button type="submit" look="quiet" disabled={typed.length === 0 || send.isPending}>
          Set the shelf right
        </Button>
      </form>
    </section>
  );
}
