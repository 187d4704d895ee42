import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { useFairs } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { day } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

/** Pins a fair to the tape, or takes one off. */
export function FairPanel({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { data: fairs } = useFairs();
  const [name, setName] = useState('');
  const [heldOn, setHeldOn] = useState('');
  const request = useRequestId();
  const send = useSend(
    () => api.post<Schemas['FairView']>('/api/fairs', { requestId: request.id, name, heldOn }),
    () => {
      setName('');
      setHeldOn('');
      request.renew();
      onOpenChange(false);
    },
  );
  const remove = useSend((id: number) => api.remove(`/api/fairs/${id}`));
  return (
    <Panel title="Pin a fair to the tape" open={open} onOpenChange={onOpenChange}>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <TextField
          label="Fair"
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={send.problem?.on('name')}
        />
        <TextField
          label="Day"
          type="date"
          required
          value={heldOn}
          onChange={(e) => setHeldOn(e.target.value)}
          error={send.problem?.on('heldOn')}
        />
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Pin it
        </Button>
      </form>
      {fairs && fairs.length > 0 && (
        <ul className="mt-5 border-t border-line pt-3">
          {fairs.map((fair) => (
            <li key={fair.id} className="flex items-center justify-between">
              <span>
                {fair.name}, {day(fair.heldOn)}
              </span>
              <button
                type="button"
                className="min-h-11 px-2 font-semibold text-woad"
                aria-label={`Take ${fair.name} off the tape`}
                onClick={() => remove.mutate(fair.id)}
              >
                Take off
              </button>
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
