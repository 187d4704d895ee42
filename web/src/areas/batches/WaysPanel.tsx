import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useBatches, useBatchAsItIs } from '../../api/queries';
import { Button } from '../../ui/Button';
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
        <p className="text-soft">Looking at the batch once more …</p>
      )}
    </Panel>
  );
}

function Ways({ batch, onClose }: { batch: Batch; onClose: () => void }) {
  const navigate = useNavigate();
  const planned = batch.stage === 'PLANNED';
  const pause = useSend(
    () =>
      api.post<Batch>(`/api/batches/${batch.id}/${batch.paused ? 'resume' : 'pause'}`, {
        version: batch.version,
      }),
    onClose,
  );
  const giveUp = useSend(
    () => api.remove(`/api/batches/${batch.id}?version=${batch.version}`),
    () => navigate('/batches'),
  );
  const bags = batch.lines.reduce((sum, line) => sum + line.started, 0);
  return (
    <div className="space-y-5">
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
      {planned && bags > 1 && (
        <SplitOff batch={batch} onDone={(made) => navigate(`/batches/${made.id}`)} onClose={onClose} />
      )}
      {planned && <Join batch={batch} onDone={onClose} />}
      {planned && (
        <section>
          <h3 className="font-semibold">Give it up</h3>
          <p className="mb-2 text-soft">Nothing is cut yet: what it holds is free again.</p>
          <Button look="quiet" disabled={giveUp.isPending} onClick={() => giveUp.mutate(undefined)}>
            Give up
          </Button>
          <ProblemNotice problem={giveUp.problem} />
        </section>
      )}
    </div>
  );
}

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
        lines: batch.lines.map((line) => ({ number: line.number, units: typed[line.number] ?? '' })),
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
      <table className="listing mb-2">
        <tbody>
          {batch.lines.map((line, i) => {
            const wrong = send.problem?.on(`lines.${i}.units`);
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
                    aria-label={`Split off, line ${line.number}`}
                    aria-invalid={!!wrong}
                    value={typed[line.number] ?? ''}
                    onChange={(event) => setTyped({ ...typed, [line.number]: event.target.value })}
                  />
                </td>
                <td className="w-[70px] text-soft">of {line.started}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Button look="quiet" type="submit" disabled={send.isPending}>
        Split off
      </Button>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
    </form>
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
