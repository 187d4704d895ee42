import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Tag } from '../../ui/Tag';
import { useRequestId, useSend } from '../../ui/useSend';

type Time = Schemas['LoggedTime'];

/** The times of a step on one day, one by one; each can be put right or left out. */
export function TimesPanel({
  title,
  sitting,
  onClose,
}: {
  title: string;
  sitting: Schemas['Sitting'];
  onClose: () => void;
}) {
  const { data, error } = useQuery({
    queryKey: ['logbook', 'times', sitting],
    queryFn: () =>
      api.get<Time[]>(
        `/api/logbook/times?batch=${sitting.batchId}&line=${sitting.line}&step=${encodeURIComponent(sitting.step)}&day=${sitting.day}`,
      ),
  });
  const [chosen, setChosen] = useState<string>();
  return (
    <Panel title="What was timed" open wide onOpenChange={(open) => !open && onClose()}>
      <p className="mb-2 text-soft">{title}</p>
      {error && <ProblemNotice problem={error} />}
      <table className="listing">
        <thead>
          <tr>
            <th>at</th>
            <th>what</th>
            <th className="!text-right">took</th>
            <th>
              <span className="sr-only">Corrected</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data?.map((time) => (
            <tr key={time.id}>
              <td>{time.time}</td>
              <td>
                {time.setUp ? 'set up' : time.bags === 0 ? 'worked' : `${time.bags} counted`}{' '}
                {time.slow && <Tag look="plain">slow day</Tag>}{' '}
                {time.leftOut && <Tag look="care">left out</Tag>}{' '}
                {time.putRight && <Tag look="ok">put right</Tag>}
                {time.reason && <span className="block text-[13px] text-soft">{time.reason}</span>}
              </td>
              <td className={`num ${time.leftOut ? 'line-through' : ''}`}>{time.took}</td>
              <td className="num">
                <Button
                  look="quiet"
                  aria-label={`Correct ${time.took} at ${time.time}`}
                  onClick={() => setChosen(time.id)}
                >
                  Correct
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {data
        ?.filter((time) => time.id === chosen)
        .map((time) => (
          <Correct key={time.id} time={time} onClose={() => setChosen(undefined)} />
        ))}
    </Panel>
  );
}

function Correct({ time, onClose }: { time: Time; onClose: () => void }) {
  const request = useRequestId();
  const [minutes, setMinutes] = useState('');
  const [reason, setReason] = useState('');
  const send = useSend(
    (leftOut: boolean) =>
      api.post<void>('/api/logbook/corrections', {
        id: request.id,
        event: time.id,
        leftOut,
        minutes,
        reason,
      }),
    onClose,
  );
  return (
    <form
      noValidate
      className="mt-3 space-y-2 rounded border-2 border-woad-mid p-3"
      aria-label={`${time.took} at ${time.time} isn’t right`}
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(false);
      }}
    >
      <p>
        <b>{time.took}</b> at {time.time}: what was measured stays in the book; estimates go by what you say
        here.
      </p>
      <div className="grid gap-3 md:grid-cols-[140px_1fr]">
        <TextField
          label="It took, in minutes"
          autoFocus
          inputMode="decimal"
          maxLength={20}
          value={minutes}
          error={send.problem?.on('minutes')}
          onChange={(event) => setMinutes(event.target.value)}
        />
        <TextField
          label="Why"
          maxLength={300}
          value={reason}
          error={send.problem?.on('reason')}
          onChange={(event) => setReason(event.target.value)}
        />
      </div>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <div className="flex gap-2">
        <Button type="submit" disabled={send.isPending}>
          Save
        </Button>
        <Button look="quiet" disabled={send.isPending} onClick={() => send.mutate(true)}>
          Leave it out
        </Button>
        <Button look="quiet" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
