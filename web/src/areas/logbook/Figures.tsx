import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { api, type Schemas } from '../../api/client';
import { useDesign, useDesignNames } from '../../api/queries';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { day } from '../../ui/units';

const WEEKS = [13, 26, 52, 104, 520];
const GRID = 'var(--color-line)';
const INK = 'var(--color-soft)';

/** What the logbook adds up to. */
export default function Figures() {
  const [weeks, setWeeks] = useState(26);
  const { data, error } = useQuery({
    queryKey: ['logbook', 'figures', weeks],
    queryFn: () => api.get<Schemas['FiguresView']>(`/api/logbook/figures?weeks=${weeks}`),
    placeholderData: keepPreviousData,
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Adding up …</p>;
  return (
    <div className="space-y-4">
      <div className="w-[180px]">
        <SelectField
          label="The last"
          value={weeks}
          onChange={(event) => setWeeks(Number(event.target.value))}
        >
          {WEEKS.map((count) => (
            <option key={count} value={count}>
              {count < 52 ? `${count} weeks` : count === 52 ? 'year' : `${count / 52} years`}
            </option>
          ))}
        </SelectField>
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Hours figures={data} />
        <StepTimes />
        <Reasons reasons={data.reasons} />
        <Pace pace={data.pace} setUps={data.setUps} />
      </div>
    </div>
  );
}

function Hours({ figures }: { figures: Schemas['FiguresView'] }) {
  const { weeks, worked, free } = figures;
  return (
    <section className="sheet p-4" aria-label="Hours by week">
      <h2>Hours at the bench, week by week</h2>
      <p className="text-soft">
        <b className="text-ink">{worked.text}</b> worked, {free.text} were free
      </p>
      <div className="mt-2 h-[220px]" aria-hidden>
        <ResponsiveContainer>
          <ComposedChart accessibilityLayer={false} data={weeks} margin={{ left: -22, right: 4, top: 6 }}>
            <CartesianGrid stroke={GRID} vertical={false} />
            <XAxis dataKey="monday" tickFormatter={day} stroke={INK} fontSize={12} minTickGap={40} />
            <YAxis stroke={INK} fontSize={12} allowDecimals={false} />
            <Bar
              dataKey="workedHours"
              fill="var(--color-woad)"
              isAnimationActive={false}
              radius={[2, 2, 0, 0]}
            />
            <Line
              dataKey="freeHours"
              type="step"
              stroke="var(--color-weld)"
              strokeDasharray="5 4"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="text-[13px] text-soft">Blue bars were worked; the dashed line is what was free.</p>
      <Numbers
        head={['week from', 'worked', 'free']}
        rows={weeks.map((week) => [day(week.monday), week.worked.text, week.free.text])}
      />
    </section>
  );
}

/** The figures of a chart, for whoever reads numbers rather than lines. */
function Numbers({ head, rows }: { head: string[]; rows: string[][] }) {
  return (
    <details className="mt-1">
      <summary className="cursor-pointer py-1 font-semibold text-woad">In numbers</summary>
      <table className="listing">
        <thead>
          <tr>
            {head.map((one) => (
              <th key={one}>{one}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              {row.map((cell, j) => (
                <td key={j}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

const minutes = (seconds: number) => `${(seconds / 60).toFixed(1)} min`;

/** How long a step took, sitting by sitting, against what it is reckoned with now. */
function StepTimes() {
  const { data: designs } = useDesignNames();
  const [design, setDesign] = useState<number>();
  const id = design ?? designs?.[0]?.id;
  const [step, setStep] = useState('');
  return (
    <section className="sheet p-4" aria-label="Minutes of a step">
      <h2>How long a step takes</h2>
      {id !== undefined && (
        <>
          <div className="mt-1 grid gap-3 sm:grid-cols-2">
            <SelectField
              label="Design"
              value={id}
              onChange={(event) => {
                setDesign(Number(event.target.value));
                setStep('');
              }}
            >
              {designs?.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </SelectField>
            <StepChoice design={id} step={step} onChoose={setStep} />
          </div>
          {step && <StepChart design={id} step={step} />}
        </>
      )}
    </section>
  );
}

function StepChoice({
  design,
  step,
  onChoose,
}: {
  design: number;
  step: string;
  onChoose: (step: string) => void;
}) {
  const { data } = useDesign(design);
  const steps = data?.document.steps ?? [];
  return (
    <SelectField label="Step" value={step} onChange={(event) => onChoose(event.target.value)}>
      <option value="">choose …</option>
      {steps.map((one) => (
        <option key={one.key} value={one.key}>
          {one.name}
        </option>
      ))}
    </SelectField>
  );
}

function StepChart({ design, step }: { design: number; step: string }) {
  const { data, error } = useQuery({
    queryKey: ['logbook', 'step-times', design, step],
    queryFn: () =>
      api.get<Schemas['StepTimesView']>(
        `/api/logbook/step-times?design=${design}&step=${encodeURIComponent(step)}`,
      ),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return null;
  const points = data.points.map((point, place) => ({ ...point, place, minutes: point.each / 60 }));
  return (
    <>
      <p className="mt-2 text-soft">
        planned with <b className="text-ink">{data.reckoned.text}</b>,{' '}
        {data.bags > 0
          ? `from ${data.bags} timed bags; likely ${minutes(data.atLeast)} to ${minutes(data.atMost)}`
          : 'a guess: nothing of it was timed'}
      </p>
      {points.length > 0 && (
        <>
          <div className="mt-2 h-[190px]" aria-hidden>
            <ResponsiveContainer>
              <ComposedChart
                accessibilityLayer={false}
                data={points}
                margin={{ left: -22, right: 8, top: 6 }}
              >
                <CartesianGrid stroke={GRID} vertical={false} />
                <XAxis
                  dataKey="place"
                  type="number"
                  domain={[-0.5, points.length - 0.5]}
                  ticks={points.map((point) => point.place)}
                  tickFormatter={(place: number) => (points[place] ? day(points[place].day) : '')}
                  stroke={INK}
                  fontSize={12}
                />
                <YAxis stroke={INK} fontSize={12} domain={[0, 'auto']} />
                <ReferenceArea
                  y1={data.atLeast / 60}
                  y2={data.atMost / 60}
                  fill="var(--color-woad-tint)"
                  fillOpacity={1}
                />
                <ReferenceLine
                  y={data.each / 60}
                  stroke="var(--color-woad)"
                  strokeDasharray="6 4"
                  strokeWidth={2}
                />
                <Scatter dataKey="minutes" fill="var(--color-ink)" isAnimationActive={false} />
              </ComposedChart>
            </ResponsiveContainer>
          </div>
          <p className="text-[13px] text-soft">
            Dots are what was timed, minutes for each bag; the dashed line is what it is planned with, the
            band where eight of ten batches lie.
          </p>
          <Numbers
            head={['day', 'batch', 'bags', 'each']}
            rows={data.points.map((point) => [
              day(point.day),
              String(point.batchId),
              String(point.bags),
              minutes(point.each),
            ])}
          />
        </>
      )}
    </>
  );
}

function Reasons({ reasons }: { reasons: Schemas['ReasonView'][] }) {
  return (
    <section className="sheet p-4" aria-label="What went wrong">
      <h2>What went wrong</h2>
      {reasons.length === 0 ? (
        <p className="text-soft">Nothing was logged.</p>
      ) : (
        <>
          <div style={{ height: 40 + reasons.length * 30 }} aria-hidden>
            <ResponsiveContainer>
              <BarChart
                accessibilityLayer={false}
                data={reasons}
                layout="vertical"
                margin={{ left: 60, right: 8 }}
              >
                <XAxis type="number" stroke={INK} fontSize={12} allowDecimals={false} />
                <YAxis type="category" dataKey="reason" stroke={INK} fontSize={12} width={110} />
                <Bar dataKey="mended" stackId="a" fill="var(--color-moss)" isAnimationActive={false} />
                <Bar dataKey="seconds" stackId="a" fill="var(--color-yellow)" isAnimationActive={false} />
                <Bar dataKey="scrap" stackId="a" fill="var(--color-madder)" isAnimationActive={false} />
              </BarChart>
            </ResponsiveContainer>
          </div>
          <p className="text-[13px] text-soft">Green was mended, yellow became seconds, red was scrap.</p>
          <Numbers
            head={['reason', 'mended', 'seconds', 'scrap']}
            rows={reasons.map((one) => [
              one.reason,
              String(one.mended),
              String(one.seconds),
              String(one.scrap),
            ])}
          />
        </>
      )}
    </section>
  );
}

function Pace({ pace, setUps }: { pace: Schemas['PaceView'][]; setUps: Schemas['SetUpsView'] }) {
  const { spared } = setUps;
  return (
    <section className="sheet p-4" aria-label="Bags an hour">
      <h2>Bags an hour</h2>
      {pace.length === 0 ? (
        <p className="text-soft">No batch that was timed is finished yet.</p>
      ) : (
        <table className="listing">
          <thead>
            <tr>
              <th>Design</th>
              <th className="!text-right">came out</th>
              <th className="!text-right">worked</th>
              <th className="!text-right">an hour</th>
            </tr>
          </thead>
          <tbody>
            {pace.map((one) => (
              <tr key={one.designId}>
                <td>{one.design}</td>
                <td className="num">{one.bags}</td>
                <td className="num">{one.worked.text}</td>
                <td className="num">
                  <b>{one.anHour}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="mt-3">
        Machines were set up <b>{setUps.made}</b> {setUps.made === 1 ? 'time' : 'times'}
        {spared > 0 && (
          <>
            ; each line for itself would have taken <b>{setUps.apart}</b>. {spared} were spared
          </>
        )}
        .
      </p>
    </section>
  );
}
