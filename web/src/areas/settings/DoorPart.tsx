import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Door = Schemas['DoorView'];

const doorKey = ['door'];

/** Whether the workroom's other devices may come in, where they find Mardun, and who did. */
export function DoorPart() {
  const client = useQueryClient();
  const { data: door, error } = useQuery({ queryKey: doorKey, queryFn: () => api.get<Door>('/api/door') });
  const taken = (next: Door) => client.setQueryData(doorKey, next);
  const open = useSend((on: boolean) => api.put<Door>('/api/door', { open: on }), taken);
  if (error) return <ProblemNotice problem={error} />;
  if (!door) return null;
  if (!door.here) {
    return (
      <section className="sheet mt-4 p-4" aria-label="Other devices of the workroom">
        <h2>Other devices of the workroom</h2>
        <p className="text-soft">
          This is one of them. The door is opened, closed and locked at the machine on which Mardun runs.
        </p>
      </section>
    );
  }
  return (
    <section className="sheet mt-4 p-4" aria-label="Other devices of the workroom">
      <h2>
        Other devices of the workroom{' '}
        <Tag look={door.open ? 'care' : 'plain'}>{door.open ? 'open' : 'closed'}</Tag>
      </h2>
      <p className="text-soft">
        A tablet at the machine can work with Mardun over the workroom’s network. Nobody comes in from outside
        it, and nobody without the passphrase. What goes over the network isn’t encrypted: open it in a
        network that you trust.
      </p>
      <div className="mt-3 grid items-start gap-6 md:grid-cols-[1fr_auto]">
        <div className="space-y-3">
          <PassphraseForm hasOne={door.hasPassphrase} onSet={taken} />
          {open.problem && <ProblemNotice problem={open.problem} />}
          <Button
            look={door.open ? 'quiet' : 'main'}
            disabled={open.isPending || (!door.open && !door.hasPassphrase)}
            onClick={() => open.mutate(!door.open)}
          >
            {door.open ? 'Keep other devices out' : 'Let other devices in'}
          </Button>
          {door.open && door.addresses.length === 0 && (
            <p className="text-madder">
              This machine has no address on a private network. Connect it, then close and open the door.
            </p>
          )}
          {door.devices.length > 0 && (
            <div>
              <h3 className="font-semibold">Signed in</h3>
              <ul className="text-[13.5px] text-soft">
                {door.devices.map((device, i) => (
                  <li key={i} className="break-words">
                    {device.device} · since {fullDay(device.cameOn)}, last seen {fullDay(device.seenOn)}
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
        {door.addresses[0] && (
          <div className="text-center">
            <img
              src={`/api/door/code.svg?of=${encodeURIComponent(door.addresses[0])}`}
              alt={`Code for ${door.addresses[0]}`}
              className="size-44 bg-white"
            />
            {door.addresses.map((address) => (
              <div key={address} className="font-semibold">
                {address}
              </div>
            ))}
          </div>
        )}
      </div>
    </section>
  );
}

function PassphraseForm({ hasOne, onSet }: { hasOne: boolean; onSet: (door: Door) => void }) {
  const [passphrase, setPassphrase] = useState('');
  const set = useSend(
    () => api.put<Door>('/api/door/passphrase', { passphrase }),
    (door) => {
      setPassphrase('');
      onSet(door);
    },
  );
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!set.isPending) set.mutate(undefined);
      }}
    >
      <div className="w-[320px] max-w-full">
        <TextField
          label={hasOne ? 'Another passphrase; everybody signs in again' : 'Set a passphrase first'}
          type="password"
          autoComplete="new-password"
          value={passphrase}
          error={set.problem?.on('passphrase')}
          hint={set.isSuccess && passphrase === '' ? 'It is set.' : undefined}
          onChange={(event) => setPassphrase(event.target.value)}
        />
      </div>
      <Button type="submit" look="quiet" disabled={passphrase === '' || set.isPending}>
        Set it
      </Button>
      {set.problem && !set.problem.on('passphrase') && <ProblemNotice problem={set.problem} />}
    </form>
  );
}
