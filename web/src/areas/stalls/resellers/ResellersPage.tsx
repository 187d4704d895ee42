import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { useChannels, useResellers } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { Tag } from '../../../ui/Tag';
import { fullDay } from '../../../ui/units';
import { useRequestId, useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';

/** Shops that sell a maker’s bags: what lies there, and what is to be done. */
export default function ResellersPage() {
  useTitle('Resellers');
  const { data, error } = useResellers();
  const [adding, setAdding] = useState(false);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls">
            Stalls
          </Link>
          <h1>Resellers</h1>
        </div>
        <Button onClick={() => setAdding(true)}>New reseller</Button>
      </header>
      {data.length === 0 ? (
        <section className="sheet max-w-[640px] p-5">
          <h2>No reseller yet</h2>
          <p className="text-soft">
            A shop that sells your bags: bring some there, and settle when it tells what it sold. Mardun keeps
            what lies there, since when, what the shop takes, and says what to bring and what to take back.
          </p>
        </section>
      ) : (
        <section className="sheet overflow-x-auto px-4 py-2" aria-label="Resellers">
          <table className="listing">
            <thead>
              <tr>
                <th>Shop</th>
                <th className="num">Bags there</th>
                <th className="num">Asked for them</th>
                <th>Settled last</th>
                <th>To do</th>
              </tr>
            </thead>
            <tbody>
              {data.map((one) => (
                <tr key={one.id}>
                  <td>
                    <Link
                      className="font-semibold text-woad hover:underline"
                      to={`/stalls/resellers/${one.id}`}
                    >
                      {one.name}
                    </Link>
                    <span className="block text-[13px] text-soft">
                      {one.channel}
                      {one.putAway && ' · put away'}
                    </span>
                  </td>
                  <td className="num">{one.units}</td>
                  <td className="num">{one.asked.amount}</td>
                  <td className="whitespace-nowrap">
                    {one.lastSettled ? fullDay(one.lastSettled) : 'never'}
                  </td>
                  <td className="space-x-1">
                    {one.toBring > 0 && <Tag look="care">bring {one.toBring}</Tag>}
                    {one.toTakeBack > 0 && <Tag look="plain">take back {one.toTakeBack}</Tag>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      {adding && <NewResellerPanel onClose={() => setAdding(false)} />}
    </>
  );
}

function NewResellerPanel({ onClose }: { onClose: () => void }) {
  const { id: requestId } = useRequestId();
  const navigate = useNavigate();
  const { data: channels } = useChannels();
  const [name, setName] = useState('');
  const [channelId, setChannelId] = useState('');
  const offered = channels?.filter((one) => !one.putAway) ?? [];
  const first = offered.find((one) => one.terms.kind === 'RESELLER') ?? offered[0];
  const chosen = channelId || String(first?.id ?? '');
  const add = useSend(
    () => api.post<Schemas['ResellerView']>('/api/resellers', { requestId, name, channelId: Number(chosen) }),
    (made) => void navigate(`/stalls/resellers/${made.id}`),
  );
  return (
    <Panel title="New reseller" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!add.isPending) add.mutate(undefined);
        }}
      >
        <TextField
          label="Name of the shop"
          hint="It is the place where your bags lie, and can’t be changed later."
          maxLength={80}
          value={name}
          error={add.problem?.on('name')}
          onChange={(event) => setName(event.target.value)}
        />
        <SelectField
          label="It sells on the terms of"
          value={chosen}
          hint="Enter its commission as a channel, under Prices."
          onChange={(event) => setChannelId(event.target.value)}
        >
          {offered.map((one) => (
            <option key={one.id} value={one.id}>
              {one.terms.name} · {one.says}
            </option>
          ))}
        </SelectField>
        {add.problem && add.problem.errors.length === 0 && <ProblemNotice problem={add.problem} />}
        <Button type="submit" disabled={add.isPending || !first}>
          Enter
        </Button>
      </form>
    </Panel>
  );
}
