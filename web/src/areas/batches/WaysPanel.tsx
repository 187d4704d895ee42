import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Problem, type Schemas } from '../../api/client';
import { keys, useBatches, useBatchAsItIs } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { day } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Batch = Schemas['BatchView'];

/** What else can become of a batch: put aside, parted, joined with another, given up. */
export function WaysPanel({ batchId, onClose }: { batchId: number; onClose: () => void }) {
  const { data: batch, error } = useBatchAsItIs(batchId);
  return (
    <Panel title="What becomes of it" open onOpenChange={(open) => !open && onClose()}>
      {batch ? (
        <Ways batch={batch} onClose={onClose} />
      ) : error ? (
        <ProblemNotice problem={error} />
      ) : (
        <p className="text-soft">Checking the batch …</p>
      )}
    </Panel>
  );
}

function Ways({ batch, onClose }: { batch: Batch; onClose: () => void }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  /** It is gone: nobody asks for it any more while the page changes. */
  const forget = () => client.removeQueries({ queryKey: [...keys.batches, batch.id], exact: true });
  const planned = batch.stage === 'PLANNED';
  const open = batch.lines.reduce((sum, line) => sum + line.open, 0);
  const dropped = batch.stage === 'DROPPED';
  const finished = batch.stage === 'FINISHED';
  const pause = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/${batch.paused ? 'resume' : 'pause'}`, {
        version: batch.version,
      }),
    onClose,
  );
  const givenUp = dropped && open > 0;
  const giveUp = useSend(
    () => api.post<Batch>(`/api/batches/${batch.id}/give-up`, { version: batch.version }),
    onClose,
  );
  const planAgain = useSend(
    () => api.post<Batch>(`/api/batches/${batch.id}/plan-again`, { version: batch.version }),
    onClose,
  );
  const remove = useSend(
    () => api.remove(`/api/batches/${batch.id}?version=${batch.version}`),
    () => {
      forget();
      navigate('/batches');
    },
  );
  const putBy = batch.lines.filter((line) => line.putBy > 0);
  return (
    <div className="space-y-5">
      {!dropped && !finished && (
        <section>
          <h3 className="font-semibold">{batch.paused ? 'Take it up again' : 'Put it aside for a while'}</h3>
          <p className="mb-2 text-soft">
            {batch.paused
              ? 'Its hours are laid on days again.'
              : 'Nothing of it is lost; no hours of it are laid on days until it is taken up again.'}
          </p>
          <Button look="quiet" disabled={pause.isPending} onClick={() => pause.mutate(undefined)}>
            {batch.paused ? 'Take up again' : 'Put aside'}
          </Button>
          <ProblemNotice problem={pause.problem} />
        </section>
      )}
      {putBy.map((line) => (
        <div key={line.number} className="space-y-5">
          {!finished && <TakeUp batch={batch} line={line} onDone={onClose} />}
          <Bundle batch={batch} line={line} onDone={onClose} />
        </div>
      ))}
      {givenUp && (
        <section>
          <h3 className="font-semibold">Make it after all</h3>
          <p className="mb-2 text-soft">It is planned as it was; what it held may be another’s by now.</p>
          <Button look="quiet" disabled={planAgain.isPending} onClick={() => planAgain.mutate(undefined)}>
            Plan it again
          </Button>
          <ProblemNotice problem={planAgain.problem} />
        </section>
      )}
      {givenUp && (
        <section>
          <h3 className="font-semibold">Remove it for good</h3>
          <Button look="quiet" disabled={remove.isPending} onClick={() => remove.mutate(undefined)}>
            Remove
          </Button>
          <ProblemNotice problem={remove.problem} />
        </section>
      )}
      {open > 1 && !dropped && (
        <SplitOff batch={batch} onDone={(made) => navigate(`/batches/${made.id}`)} onClose={onClose} />
      )}
      {planned && <Join batch={batch} onDone={onClose} />}
      {!planned && batch.partedFrom !== undefined && !dropped && !finished && (
        <PutBack
          batch={batch}
          from={batch.partedFrom}
          onDone={(whole) => {
            forget();
            navigate(`/batches/${whole}`);
          }}
        />
      )}
      {!planned && !dropped && open > 0 && <CutShort batch={batch} onDone={onClose} />}
      {planned && (
        <section>
          <h3 className="font-semibold">Give it up</h3>
          <p className="mb-2 text-soft">
            Nothing is cut yet: what it holds is free again, and it can be taken up later.
          </p>
          <Button look="quiet" disabled={giveUp.isPending} onClick={() => giveUp.mutate(undefined)}>
            Give up
          </Button>
          <ProblemNotice problem={giveUp.problem} />
        </section>
      )}
    </div>
  );
}

/** How many bags of which lines, as typed. */
function Bags({
  batch,
  says,
  problem,
  typed,
  onType,
}: {
  batch: Batch;
  /** What becomes of them, for those who hear the form: “Split off”. */
  says: string;
  problem?: Problem;
  typed: Record<number, string>;
  onType: (typed: Record<number, string>) => void;
}) {
  return (
    <table className="listing mb-2">
      <tbody>
        {batch.lines.map((line, i) => {
          const wrong = problem?.on(`lines.${i}.units`);
          return (
            <tr key={line.number}>
              <td>
                {line.designName}, {line.sizeName}
                <span className="block text-[13px] text-soft">
                  {batch.sheet.lines.find((one) => one.number === line.number)?.clothName}
                </span>
                {wrong && <span className="block text-[13px] text-madder">{wrong}</span>}
              </td>
              <td className="num w-[84px]">
                <input
                  className="field text-right"
                  inputMode="numeric"
                  autoComplete="off"
                  placeholder="0"
                  aria-label={`${says}, line ${line.number}`}
                  aria-invalid={!!wrong}
                  value={typed[line.number] ?? ''}
                  onChange={(event) => onType({ ...typed, [line.number]: event.target.value })}
                />
              </td>
              <td className="w-[70px] text-soft">of {line.open}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const linesOf = (batch: Batch, typed: Record<number, string>) =>
  batch.lines.map((line) => ({ number: line.number, units: typed[line.number] ?? '' }));

function SplitOff({
  batch,
  onDone,
  onClose,
}: {
  batch: Batch;
  onDone: (made: Batch) => void;
  onClose: () => void;
}) {
  const request = useRequestId();
  const [typed, setTyped] = useState<Record<number, string>>({});
  const send = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/split`, {
        requestId: request.id,
        version: batch.version,
        lines: linesOf(batch, typed),
      }),
    (made) => {
      onClose();
      onDone(made);
    },
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <h3 className="font-semibold">Split some off into a batch of their own</h3>
      {batch.stage !== 'PLANNED' && (
        <p className="text-soft">They take their cut pieces and the minutes of their cutting along.</p>
      )}
      <Bags batch={batch} says="Split off" problem={send.problem} typed={typed} onType={setTyped} />
      <Button look="quiet" type="submit" disabled={send.isPending}>
        Split off
      </Button>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
    </form>
  );
}

/** Bags whose cloth is cut and that aren't made: their pieces are kept, or thrown away. */
function CutShort({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const [typed, setTyped] = useState<Record<number, string>>({});
  const [throwAway, setThrowAway] = useState(false);
  const send = useSend(
    (lines: { number: number; units: string }[]) =>
      api.post<Batch>(`/api/batches/${batch.id}/cut-short`, {
        version: batch.version,
        throwAway,
        reason: '',
        lines,
      }),
    onDone,
  );
  const all = batch.lines.map((line) => ({ number: line.number, units: String(line.open) }));
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(linesOf(batch, typed));
      }}
    >
      <h3 className="font-semibold">Some of them aren’t made</h3>
      <Bags batch={batch} says="Not made" problem={send.problem} typed={typed} onType={setTyped} />
      <fieldset className="mb-2">
        <legend className="text-soft">Their cut pieces</legend>
        {[false, true].map((thrown) => (
          <label key={String(thrown)} className="flex min-h-11 cursor-pointer items-center gap-2.5">
            <input
              type="radio"
              className="size-5"
              name="pieces"
              checked={throwAway === thrown}
              onChange={() => setThrowAway(thrown)}
            />
            {thrown
              ? 'are thrown away; those that are made bear them'
              : 'are put by, with what their cloth cost'}
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-2">
        <Button look="quiet" type="submit" disabled={send.isPending}>
          Don’t make these
        </Button>
        <Button look="quiet" disabled={send.isPending} onClick={() => !send.isPending && send.mutate(all)}>
          Make none of the rest
        </Button>
      </div>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
    </form>
  );
}

/** Bags whose pieces were put by are made after all. */
function TakeUp({ batch, line, onDone }: { batch: Batch; line: Schemas['LineView']; onDone: () => void }) {
  const [units, setUnits] = useState(String(line.putBy));
  const send = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/take-up`, {
        version: batch.version,
        line: line.number,
        units,
      }),
    onDone,
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <h3 className="font-semibold">
        {line.putBy} of {line.designName}, {line.sizeName} are cut and put by
      </h3>
      <div className="mt-1 flex items-center gap-2">
        <input
          className="field !w-[84px] text-right"
          inputMode="numeric"
          autoComplete="off"
          aria-label={`Make after all, line ${line.number}`}
          aria-invalid={!!send.problem?.on('units')}
          value={units}
          onChange={(event) => setUnits(event.target.value)}
        />
        <Button look="quiet" type="submit" disabled={send.isPending}>
          Make them after all
        </Button>
      </div>
      {send.problem?.on('units') && <p className="text-[13px] text-madder">{send.problem.on('units')}</p>}
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
    </form>
  );
}

/** Cut pieces that were put by become kits, to be sold with their pattern sheet. */
function Bundle({ batch, line, onDone }: { batch: Batch; line: Schemas['LineView']; onDone: () => void }) {
  const request = useRequestId();
  const [units, setUnits] = useState(String(line.putBy));
  const [minutes, setMinutes] = useState('');
  const [price, setPrice] = useState('');
  const [withNotions, setWithNotions] = useState(true);
  const send = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/kits`, {
        requestId: request.id,
        line: line.number,
        units,
        minutes,
        price,
        withNotions,
      }),
    onDone,
  );
  const text = (name: string, label: string, value: string, set: (typed: string) => void, hint?: string) => (
    <TextField
      label={label}
      inputMode="decimal"
      value={value}
      hint={hint}
      error={send.problem?.on(name)}
      onChange={(event) => set(event.target.value)}
    />
  );
  return (
    <form
      noValidate
      aria-label={`Kits, line ${line.number}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <h3 className="font-semibold">
        Sell {line.designName}, {line.sizeName} as kits
      </h3>
      <p className="text-soft">
        The cut pieces with their{' '}
        <Link className="font-semibold text-woad underline" to={`/designs/${line.designId}/templates`}>
          pattern sheet
        </Link>{' '}
        are goods like finished bags: packed, sold and counted.
      </p>
      <div className="my-2 grid items-start gap-3 sm:grid-cols-3">
        {text('units', 'How many', units, setUnits)}
        {text('price', 'One is sold for', price, setPrice)}
        {text('minutes', 'Minutes in each', minutes, setMinutes, 'of cutting and bundling, if they count')}
      </div>
      <label className="flex min-h-11 items-center gap-2.5">
        <input
          type="checkbox"
          className="size-5"
          checked={withNotions}
          onChange={(event) => setWithNotions(event.target.checked)}
        />
        zips, trims and other notions go along, from the shelf
      </label>
      <Button look="quiet" type="submit" disabled={send.isPending}>
        Bundle them
      </Button>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
    </form>
  );
}

/** Bags that were parted off a batch whose cloth is cut go back into it. */
function PutBack({ batch, from, onDone }: { batch: Batch; from: number; onDone: (whole: number) => void }) {
  const send = useSend(
    async () => {
      const whole = await api.get<Batch>(`/api/batches/${from}`);
      return api.post<Batch>(`/api/batches/${from}/join`, {
        version: whole.version,
        otherId: batch.id,
        otherVersion: batch.version,
      });
    },
    () => onDone(from),
  );
  return (
    <section>
      <h3 className="font-semibold">Put them back into batch {from}</h3>
      <p className="mb-2 text-soft">They were parted off it; then it is as it was.</p>
      <Button
        look="quiet"
        disabled={send.isPending}
        onClick={() => !send.isPending && send.mutate(undefined)}
      >
        Put back
      </Button>
      <ProblemNotice problem={send.problem} />
    </section>
  );
}

function Join({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const others = useBatches('PLANNED', '');
  const [other, setOther] = useState('');
  const send = useSend(async () => {
    const chosen = await api.get<Batch>(`/api/batches/${other}`);
    return api.post<Batch>(`/api/batches/${batch.id}/join`, {
      version: batch.version,
      otherId: chosen.id,
      otherVersion: chosen.version,
    });
  }, onDone);
  const items = others.items?.filter((one) => one.id !== batch.id) ?? [];
  if (items.length === 0) return null;
  return (
    <section>
      <h3 className="font-semibold">Take another planned batch into it</h3>
      <p className="mb-2 text-soft">
        Both are cut and sewn together then; what they are made of alike is one line.
      </p>
      <div className="flex gap-2">
        <select
          className="field"
          aria-label="Which batch"
          value={other}
          onChange={(event) => setOther(event.target.value)}
        >
          <option value="">choose …</option>
          {items.map((one) => (
            <option key={one.id} value={one.id}>
              {one.id}: {one.units} × {one.designName}
              {one.dueOn ? `, ${day(one.dueOn)}` : ''}
            </option>
          ))}
        </select>
        <Button look="quiet" disabled={!other || send.isPending} onClick={() => send.mutate(undefined)}>
          Join
        </Button>
      </div>
      <ProblemNotice problem={send.problem} />
    </section>
  );
}
