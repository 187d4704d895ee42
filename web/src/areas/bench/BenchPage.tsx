import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBench } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { RunningStitch } from '../../ui/RunningStitch';
import { Tag } from '../../ui/Tag';
import { Tape } from '../../ui/Tape';
import { day, daysBetween, longDay, useUnits } from '../../ui/units';
import { FairPanel } from './FairPanel';
import { FirstSteps } from './FirstSteps';
import { RemarkLine } from './RemarkLine';
import { useTitle } from '../../ui/useTitle';

type Bench = Schemas['BenchView'];

/** Home: what is coming, what to do next, what is short. */
export default function BenchPage() {
  useTitle('Bench');
  const { data: bench, error } = useBench();
  const [pinning, setPinning] = useState(false);
  if (error) return <ProblemNotice problem={error} />;
  if (!bench) return <p className="text-soft">Opening the bench …</p>;
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1>{longDay(bench.today)}</h1>
          <div className="text-soft">{summary(bench)}</div>
        </div>
        <div className="flex flex-wrap gap-2.5">
          <ButtonLink look="quiet" to="/bench/days">
            The days
          </ButtonLink>
          <Button look="quiet" onClick={() => setPinning(true)}>
            Pin a fair
          </Button>
          <ButtonLink look={bench.next ? 'quiet' : 'main'} to="/batches/new">
            New batch <kbd className="rounded border border-current px-1.5 text-xs opacity-80">N</kbd>
          </ButtonLink>
        </div>
      </header>
      <div className="-mx-[22px] pt-2">
        <Tape tape={bench.tape} today={bench.today} />
      </div>
      <RemarkLine />
      {bench.firstSteps && <FirstSteps steps={bench.firstSteps} />}
      <div className="mt-3 grid gap-4 xl:grid-cols-[1fr_318px]">
        <div className="min-w-0 space-y-3.5">
          {bench.next && <Next next={bench.next} />}
          {bench.lanes.length > 0 && <Lanes lanes={bench.lanes} />}
        </div>
        <Shelf bench={bench} />
      </div>
      <FairPanel open={pinning} onOpenChange={setPinning} />
    </>
  );
}

function summary(bench: Bench) {
  const fair = bench.tape.pins.filter((pin) => pin.kind === 'FAIR')[0];
  const coming = fair ? `${inDays(daysBetween(bench.today, fair.date))} ${fair.label} · ` : '';
  if (bench.tape.free.seconds === 0) return `${coming}say in the settings when you are free at the bench`;
  return `${coming}${bench.tape.free.text} free at the bench in two weeks · ${bench.tape.planned.text} planned`;
}

function inDays(days: number) {
  if (days === 0) return 'today is';
  return days === 1 ? 'tomorrow is' : `${days} days to`;
}

function Next({ next }: { next: Schemas['NextView'] }) {
  return (
    <section
      aria-label="What comes next"
      className="sheet relative grid grid-cols-[1fr_auto] gap-x-5 px-[18px] py-4 after:pointer-events-none after:absolute after:inset-[5px] after:rounded after:border-2 after:border-dashed after:border-woad-mid"
    >
      <div className="min-w-0">
        <div className="text-soft">
          {next.place}
          {next.day && `, ${day(next.day)}`}
        </div>
        <h2 className="my-0.5 text-2xl leading-tight">{next.title}</h2>
        <div>
          {next.subject}
          {next.changes.length > 0 && (
            <>
              {' · set up '}
              <b>{next.changes.join(', ')}</b>
            </>
          )}
        </div>
        {next.check && (
          <div className="mt-2">
            <Tag look="care">Check</Tag> {next.check}
          </div>
        )}
      </div>
      <div className="relative z-10 text-right">
        <div className="text-[30px] leading-none font-bold">{next.left.text}</div>
        <div className="mt-1 mb-2.5 text-soft">left of this batch</div>
        <ButtonLink
          to={next.atTheMachine && !next.waits ? `/bench/work/${next.batchId}` : `/batches/${next.batchId}`}
        >
          {next.waits ? 'See what is short' : next.action}
        </ButtonLink>
      </div>
    </section>
  );
}

function Lanes({ lanes }: { lanes: Schemas['LaneView'][] }) {
  return (
    <section className="sheet">
      <div className="flex justify-between px-4 pt-3">
        <h2>On the go</h2>
        <span className="text-soft">Plan · Cut · Sew · Finish</span>
      </div>
      {lanes.map(({ batch, ready, late, waits }) => (
        <Link
          key={batch.id}
          to={`/batches/${batch.id}`}
          className="grid grid-cols-[minmax(0,1.2fr)_minmax(120px,1fr)_minmax(0,1.2fr)] items-center gap-4 border-line px-4 py-[11px] not-first-of-type:border-t hover:bg-woad-tint"
        >
          <span>
            <b className="block">
              {batch.units} × {batch.designName}
            </b>
            <span className="text-soft">
              {[batch.lineCount > 1 ? `${batch.lineCount} lines` : batch.sizeName, batch.clothName]
                .filter(Boolean)
                .join(' · ')}
            </span>
          </span>
          <RunningStitch stage={batch.stage} width={280} small />
          <span>
            <span className="block">
              {batch.paused ? (
                <b>put aside</b>
              ) : ready ? (
                <>
                  ready <b>{day(ready)}</b>
                </>
              ) : waits ? (
                <b>{waits.replace(/\.$/, '')}</b>
              ) : (
                <b>no free hours</b>
              )}{' '}
              · {batch.hoursLeft.text} left
            </span>
            {batch.isShort || waits ? (
              <Tag look="bad">material short</Tag>
            ) : late ? (
              <Tag look="bad">late for {batch.forWhat || (batch.dueOn && day(batch.dueOn))}</Tag>
            ) : batch.dueOn ? (
              <Tag look="ok">in time for {batch.forWhat || day(batch.dueOn)}</Tag>
            ) : (
              <Tag look="plain">no date</Tag>
            )}
          </span>
        </Link>
      ))}
    </section>
  );
}

function Shelf({ bench }: { bench: Bench }) {
  const units = useUnits();
  const short = new Set(bench.shortages.map((line) => line.materialId));
  const low = bench.low.filter((material) => !short.has(material.id));
  if (bench.firstSteps && bench.shortages.length === 0 && low.length === 0) return null;
  return (
    <div className="space-y-3.5">
      <section className="sheet px-3 py-3">
        <div className="-mt-1.5 flex items-center justify-between gap-3">
          <h2>Short for what is planned</h2>
          {(bench.shortages.length > 0 || low.length > 0) && (
            <Link
              to="/materials/buying"
              className="inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
            >
              What to buy
            </Link>
          )}
        </div>
        {bench.shortages.length === 0 && (
          <p className="py-1 text-soft">Nothing: the shelf holds all of it.</p>
        )}
        {bench.shortages.map((line) => (
          <Link
            key={line.name}
            to={`/materials/${line.materialId}`}
            className="grid grid-cols-[46px_1fr] items-center gap-2.5 py-1.5 hover:bg-woad-tint"
          >
            <Swatch kind={line.kind} colour={line.colour} />
            <span>
              {line.name} <Tag look="bad">{units.amount(line.shortBy)} short</Tag>
              <span className="block text-[13px] text-soft">
                {units.amount(line.onHand)} there, {units.amount(line.needed)} needed; short goes{' '}
                {line.batches
                  .map((batch) => `batch ${batch.batchId} by ${units.amount(batch.shortBy)}`)
                  .join(', ')}
              </span>
            </span>
          </Link>
        ))}
      </section>
      {low.length > 0 && (
        <section className="sheet px-3 py-3">
          <h2>Running low</h2>
          {low.map((material) => (
            <Link
              key={material.id}
              to={`/materials/${material.id}`}
              className="grid grid-cols-[46px_1fr] items-center gap-2.5 py-1.5 hover:bg-woad-tint"
            >
              <Swatch kind={material.kind} colour={material.colour} />
              <span>
                {material.name}
                <span className="block text-[13px] text-soft">
                  {units.amount(material.onHand)} there
                  {material.lowAt && `, low below ${units.amount(material.lowAt)}`}
                </span>
              </span>
            </Link>
          ))}
          {bench.lowTogether > bench.low.length && (
            <Link
              to="/materials?low=yes"
              className="inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
            >
              All {bench.lowTogether}
            </Link>
          )}
        </section>
      )}
    </div>
  );
}
