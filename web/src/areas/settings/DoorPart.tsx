import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { doorKey, useDoor } from '../../app/useRole';

type Door = Schemas['DoorView'];
type Role = Door['keys'][number];

/** As what devices come in, and what they may do then. */
const ROLES: Record<Role, { name: string; may: string }> = {
  MAKER: { name: 'The maker', may: 'everything but what is done at this machine' },
  HELPER: { name: 'A helper', may: 'the bench, batches, designs and the shelf; no sales, no prices' },
  STALL: { name: 'The stall', may: 'packing and selling at fairs, and nothing else' },
};

/** Whether the workroom's other devices may come in, where they find Mardun, and who did. */
export function DoorPart() {
  const client = useQueryClient();
  const { data: door, error } = useDoor();
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
        it, and nobody without a passphrase. What goes over the network isn’t encrypted: open it in a network
        that you trust.
      </p>
      <div className="mt-3 grid items-start gap-6 md:grid-cols-[1fr_auto]">
        <div className="space-y-3">
          {(Object.keys(ROLES) as Role[]).map((role) => (
            <PassphraseForm key={role} role={role} hasOne={door.keys.includes(role)} onSet={taken} />
          ))}
          {open.problem && <ProblemNotice problem={open.problem} />}
          <Button
            look={door.open ? 'quiet' : 'main'}
            disabled={open.isPending || (!door.open && door.keys.length === 0)}
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
                    {ROLES[device.role].name} · {device.device} · since {fullDay(device.cameOn)}, last seen{' '}
                    {fullDay(device.seenOn)}
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

function PassphraseForm({
  role,
  hasOne,
  onSet,
}: {
  role: Role;
  hasOne: boolean;
  onSet: (door: Door) => void;
}) {
  const [passphrase, setPassphrase] = useState('');
  const key = `/api/door/keys/${role}`;
  const { name, may } = ROLES[role];
  const set = useSend(
    () => api.put<Door>(key, { passphrase }),
    (door) => {
      setPassphrase('');
      onSet(door);
    },
  );
  const client = useQueryClient();
  const remove = useSend(
    () => api.remove(key),
    () => void client.invalidateQueries({ queryKey: doorKey }),
  );
  const problem = set.problem?.on('passphrase') ? undefined : (set.problem ?? remove.problem);
  return (
    <form
      noValidate
      className="border-b border-line pb-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!set.isPending) set.mutate(undefined);
      }}
    >
      <h3 className="font-semibold">
        {name} <Tag look={hasOne ? 'ok' : 'plain'}>{hasOne ? 'has a passphrase' : 'can’t come in'}</Tag>
      </h3>
      <p className="text-[13.5px] text-soft">
        {may}
        {hasOne && '; with another passphrase its devices sign in again'}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <div className="w-[320px] max-w-full">
          <TextField
            label={hasOne ? `${name}: another passphrase` : `${name}: a passphrase`}
            type="password"
            autoComplete="new-password"
            value={passphrase}
            error={set.problem?.on('passphrase')}
            onChange={(event) => setPassphrase(event.target.value)}
          />
        </div>
        <Button type="submit" look="quiet" disabled={passphrase === '' || set.isPending}>
          Set it
        </Button>
        {hasOne && (
          <Button look="quiet" disabled={remove.isPending} onClick={() => remove.mutate(undefined)}>
            Take it away
          </Button>
        )}
      </div>
      {problem && <ProblemNotice problem={problem} />}
    </form>
  );
}
