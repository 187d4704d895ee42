import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useRole } from '../../app/useRole';
import { useFairs, usePastFairs } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { More } from '../../ui/More';
import { FindField } from '../../ui/FindField';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Tag } from '../../ui/Tag';
import { day, fullDay } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { STATES } from './states';

type Row = Schemas['FairRow'];

/** The fairs that come and those that were, with what each left. */
export default function StallsPage() {
  useTitle('Stalls');
  const role = useRole();
  const [find, setFind] = useState('');
  const coming = useFairs();
  const past = usePastFairs(useSettled(find, 150));
  const [adding, setAdding] = useState(false);
  if (coming.error) return <ProblemNotice problem={coming.error} />;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <h1>Stalls</h1>
        {role !== 'STALL' && (
          <div className="flex flex-wrap gap-2">
            <ButtonLink look="quiet" to="/batches/what-to-make">
              What to make
            </ButtonLink>
            <ButtonLink look="quiet" to="/stalls/orders">
              Private orders
            </ButtonLink>
            <ButtonLink look="quiet" to="/stalls/resellers">
              Resellers
            </ButtonLink>
            <ButtonLink look="quiet" to="/stalls/online">
              Online shop
            </ButtonLink>
            <Button onClick={() => setAdding(true)}>New fair</Button>
          </div>
        )}
      </header>
      {coming.data?.length === 0 && (
        <section className="sheet mb-4 max-w-[640px] p-5">
          <h2>No fair ahead</h2>
          <p className="text-soft">
            Enter one with its day: it is pinned to the tape, and its page says what to take, sells on the day
            and tells what it left.
          </p>
        </section>
      )}
      {coming.data && coming.data.length > 0 && (
        <section className="mb-4 grid gap-3 lg:grid-cols-2" aria-label="Coming fairs">
          {coming.data.map((fair) => (
            <Ahead key={fair.id} fair={fair} />
          ))}
        </section>
      )}
      {past.error && <ProblemNotice problem={past.error} />}
      {past.items && (past.items.length > 0 || find !== '') && (
        <section className="sheet overflow-x-auto px-4 py-2" aria-label="Past fairs">
          <div className="flex flex-wrap items-center justify-between gap-3 py-1">
            <h2>Past fairs</h2>
            <FindField label="Find fairs" placeholder="Name …" value={find} onType={setFind} />
          </div>
          <table className="listing">
            <thead>
              <tr>
                <th>Fair</th>
                <th>Day</th>
                <th className="num">Bags</th>
                <th className="num">Taken</th>
                <th className="num">Left</th>
                <th className="num">an hour there</th>
                <th className="num">an hour in all</th>
                <th>
                  <span className="sr-only">State</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {past.items.map((fair) => (
                <tr key={fair.id}>
                  <td>
                    <Link className="font-semibold text-woad hover:underline" to={`/stalls/${fair.id}`}>
                      {fair.name}
                    </Link>
                    <span className="block text-[13px] text-soft">{turn(fair)}</span>
                  </td>
                  <td className="whitespace-nowrap">{fullDay(fair.heldOn)}</td>
                  <td className="num">{fair.units}</td>
                  <td className="num">{fair.paid?.amount}</td>
                  <td className="num">{fair.left?.amount}</td>
                  <td className="num font-bold">{fair.perHourThere?.amount}</td>
                  <td className="num">{fair.perHourInAll?.amount}</td>
                  <td>{!fair.settled && <Tag look="care">{fair.next?.what ?? STATES[fair.state]}</Tag>}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <More list={past} />
        </section>
      )}
      {adding && <NewFairPanel onClose={() => setAdding(false)} />}
    </>
  );
}

const TURNS = ['first', 'second', 'third'];

const turn = ({ turn: number }: Row) => (number < 1 ? '' : `${TURNS[number - 1] ?? `${number}th`} time`);

/** A fair that comes: its day, how it stands and what is to be done for it. */
function Ahead({ fair }: { fair: Row }) {
  return (
    <article className="sheet flex flex-wrap gap-4 p-4 sm:flex-nowrap">
      <div className="w-[74px] shrink-0 self-start rounded border border-tape-edge bg-tape text-center">
        <div className="text-[13px] text-soft">{day(fair.heldOn).split(' ')[0]}</div>
        <div className="text-[28px] leading-8 font-bold">{Number(fair.heldOn.slice(8))}</div>
        <div className="text-[13px]">{day(fair.heldOn).split(' ')[2]}</div>
      </div>
      <div className="min-w-[130px] flex-1">
        <h2 className="text-[18px]">
          <Link className="hover:underline" to={`/stalls/${fair.id}`}>
            {fair.name}
          </Link>
        </h2>
        <p className="text-soft">
          {[fair.place, turn(fair)].filter(Boolean).join(' · ')}
          {fair.endsOn !== fair.heldOn && ` · until ${day(fair.endsOn)}`}
        </p>
        <p className="mt-1 flex flex-wrap items-center gap-2">
          <Tag look={fair.state === 'PAID' || fair.state === 'DONE' ? 'ok' : 'plain'}>
            {STATES[fair.state]}
          </Tag>
          {fair.next && (
            <Tag look={fair.next.late ? 'bad' : 'care'}>
              {fair.next.what} by {day(fair.next.day)}
              {fair.next.late && ', late'}
            </Tag>
          )}
        </p>
      </div>
      <Link
        className="inline-flex min-h-11 grow items-center justify-center self-center rounded sm:grow-0 border border-line-strong px-3 font-semibold text-woad hover:bg-woad-tint"
        to={`/stalls/${fair.id}/day`}
        aria-label={`To the stall at ${fair.name}`}
      >
        To the stall
      </Link>
    </article>
  );
}

function NewFairPanel({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const { id: requestId } = useRequestId();
  const [name, setName] = useState('');
  const [heldOn, setHeldOn] = useState('');
  const [endsOn, setEndsOn] = useState('');
  const send = useSend(
    () =>
      api.post<Schemas['FairView']>('/api/fairs', { requestId, name, heldOn, endsOn: endsOn || undefined }),
    (fair) => void navigate(`/stalls/${fair.id}`),
  );
  return (
    <Panel title="A new fair" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <TextField
          label="Fair"
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={send.problem?.on('name')}
          hint="One that you went to before, by the same name, brings its facts along."
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Day"
            type="date"
            value={heldOn}
            onChange={(event) => setHeldOn(event.target.value)}
            error={send.problem?.on('heldOn')}
          />
          <TextField
            label="Last day"
            type="date"
            value={endsOn}
            onChange={(event) => setEndsOn(event.target.value)}
            error={send.problem?.on('endsOn')}
            hint="Empty for one day."
          />
        </div>
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending || heldOn === ''}>
          Enter
        </Button>
      </form>
    </Panel>
  );
}
