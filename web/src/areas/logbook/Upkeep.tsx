import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { uuid } from '../../ui/uuid';

type View = Schemas['UpkeepView'];
type Kind = View['limits'][number]['kind'];

const upkeepKey = ['upkeep'];

const DONE: Record<Kind, string> = { NEEDLE: 'New needle', OIL: 'Oiled', BLADE: 'New blade' };

/** What is in each machine, and how long its needle, its blade and its oil have been in use. */
export function Upkeep() {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: upkeepKey,
    queryFn: () => api.get<View>('/api/upkeep'),
  });
  const done = useSend(
    (what: { place: string; kind: Kind }) => api.post<View>('/api/upkeep', { id: uuid(), note: '', ...what }),
    (next) => client.setQueryData(upkeepKey, next),
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_300px]">
      <div className="space-y-4">
        {done.problem && <ProblemNotice problem={done.problem} />}
        {data.machines.map((machine) => (
          <section key={machine.place} className="sheet px-4 py-3" aria-label={machine.name}>
            <h2>{machine.name}</h2>
            <p className="text-soft">
              {machine.on.length > 0
                ? `on it now: ${machine.on.join(', ')}`
                : 'nothing is noted of what is on it'}
            </p>
            <ul className="mt-1 divide-y divide-line-faint">
              {machine.wears.map((wear) => (
                <li key={wear.kind} className="flex flex-wrap items-center justify-between gap-3 py-2">
                  <span>
                    <b className="text-lg">{wear.since}</b>{' '}
                    <span className="text-soft">
                      of {wear.limit}
                      {wear.also && `, ${wear.also},`} since {wear.words}
                      {wear.last ? ` on ${fullDay(wear.last)}` : ', never noted'}
                    </span>{' '}
                    {wear.isDue && <Tag look="care">due</Tag>}
                  </span>
                  <Button
                    look={wear.isDue ? 'main' : 'quiet'}
                    disabled={done.isPending}
                    onClick={() => done.mutate({ place: machine.place, kind: wear.kind })}
                  >
                    {DONE[wear.kind]}
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <Limits key={JSON.stringify(data.limits)} limits={data.limits} />
    </div>
  );
}

/** After how much things are changed, as the maker has found good. */
function Limits({ limits }: { limits: View['limits'] }) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<Partial<Record<Kind, string>>>({});
  const send = useSend(
    () =>
      api.put<View>('/api/upkeep/limits', {
        limits: limits.map(({ kind, limit }) => ({ kind, limit: typed[kind] ?? limit })),
      }),
    (next) => client.setQueryData(upkeepKey, next),
  );
  return (
    <form
      noValidate
      className="sheet space-y-2.5 px-4 py-3"
      aria-label="When it is due"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <h2>When it is due</h2>
      <p className="text-[13.5px] text-soft">
        With quilting cotton. With canvas it is sooner, and with coated cloth, cork or felt in half the time.
      </p>
      {limits.map(({ kind, words, unit, limit }) => (
        <TextField
          key={kind}
          label={`${words}, after ${unit === 'h' ? 'hours' : unit === 'yd' ? 'yards of cloth' : 'metres of cloth'}`}
          inputMode="decimal"
          maxLength={20}
          value={typed[kind] ?? limit}
          error={send.problem?.on(`limits.${kind}`)}
          onChange={(event) => setTyped({ ...typed, [kind]: event.target.value })}
        />
      ))}
      <Button type="submit" look="quiet" disabled={send.isPending || Object.keys(typed).length === 0}>
        Save
      </Button>
    </form>
  );
}
