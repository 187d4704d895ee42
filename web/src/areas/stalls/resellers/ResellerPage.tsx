import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { useChannels, useReseller } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { FormEnd } from '../../../ui/FormEnd';
import { ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { Tag } from '../../../ui/Tag';
import { fullDay } from '../../../ui/units';
import { useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';
import { BringPanel } from './BringPanel';
import { SettlePanel } from './SettlePanel';

type Reseller = Schemas['ResellerView'];
type Lying = Schemas['LyingThere'];

/** One reseller: what lies there and since when, what to bring and to take back, and its settlements. */
export default function ResellerPage() {
  const id = Number(useParams().id);
  const { data, error } = useReseller(id);
  const [panel, setPanel] = useState<'settle' | 'bring' | 'back' | 'facts'>();
  useTitle(data?.name ?? 'Reseller');
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  const close = () => setPanel(undefined);
  const lying = data.bags.filter((bag) => bag.there > 0 || bag.since !== undefined || bag.sold > 0);
  const isThere = data.bags.some((bag) => bag.there > 0);
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls/resellers">
            Resellers
          </Link>
          <h1>{data.name}</h1>
          <p className="text-soft">
            {data.channel}
            {data.reach && ` · ${data.reach}`} {data.putAway && <Tag look="care">put away</Tag>}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <Button look="quiet" onClick={() => setPanel('facts')}>
            Change
          </Button>
          <Button look="quiet" onClick={() => setPanel('bring')}>
            Bring bags
          </Button>
          {isThere && (
            <>
              <Button look="quiet" onClick={() => setPanel('back')}>
                Take bags back
              </Button>
              <Button onClick={() => setPanel('settle')}>Settle</Button>
            </>
          )}
        </div>
      </header>
      {lying.length === 0 ? (
        <section className="sheet mb-4 max-w-[640px] p-5">
          <h2>Nothing lies there</h2>
          <p className="text-soft">Bring some bags; what sells there tells what to bring next.</p>
        </section>
      ) : (
        <LyingThere bags={lying} />
      )}
      <Advised bags={data.bags.filter((bag) => !lying.includes(bag) && bag.advice === 'BRING')} />
      {data.settlements.length > 0 && <Settlements reseller={data} />}
      {panel === 'settle' && <SettlePanel reseller={data} onClose={close} />}
      {(panel === 'bring' || panel === 'back') && (
        <BringPanel reseller={data} back={panel === 'back'} onClose={close} />
      )}
      {panel === 'facts' && <FactsPanel reseller={data} onClose={close} />}
    </>
  );
}

function Advice({ bag }: { bag: Lying }) {
  if (bag.advice === 'BRING')
    return (
      <Tag look={bag.home > 0 ? 'care' : 'plain'}>
        bring {bag.advised}
        {bag.home < bag.advised && `, ${bag.home} at home`}
      </Tag>
    );
  if (bag.advice === 'TAKE_BACK') return <Tag look="plain">take back {bag.advised}</Tag>;
  return null;
}

function LyingThere({ bags }: { bags: Lying[] }) {
  return (
    <section className="sheet mb-4 overflow-x-auto px-4 py-2" aria-label="What lies there">
      <h2 className="py-1">What lies there</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Bag</th>
            <th className="num">There</th>
            <th>Since</th>
            <th className="num">Sold in half a year</th>
            <th>Last one</th>
            <th className="num">Price</th>
            <th>What to do</th>
          </tr>
        </thead>
        <tbody>
          {bags.map((bag) => (
            <tr key={bag.kind}>
              <td>
                <b>{bag.words}</b>
              </td>
              <td className="num text-[18px] font-bold">{bag.there}</td>
              <td className="whitespace-nowrap">{bag.since && fullDay(bag.since)}</td>
              <td className="num">{bag.sold}</td>
              <td className="whitespace-nowrap">{bag.lastSold && fullDay(bag.lastSold)}</td>
              <td className="num">{bag.price.amount}</td>
              <td>
                <Advice bag={bag} />
                <span className="block text-[13px] text-soft">{bag.reason}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What sold out there and is at home again. */
function Advised({ bags }: { bags: Lying[] }) {
  if (bags.length === 0) return null;
  return (
    <ul className="sheet mb-4 p-4" aria-label="Sold out there">
      {bags.map((bag) => (
        <li key={bag.kind}>
          {bag.words} <Advice bag={bag} />
        </li>
      ))}
    </ul>
  );
}

function Settlements({ reseller }: { reseller: Reseller }) {
  const undo = useSend((id: string) => api.post(`/api/resellers/${reseller.id}/settlements/${id}/undo`, {}));
  return (
    <section className="sheet overflow-x-auto px-4 py-2" aria-label="Settlements">
      <h2 className="py-1">Settlements</h2>
      <ProblemNotice problem={undo.problem} />
      <table className="listing">
        <thead>
          <tr>
            <th>On</th>
            <th className="num">Bags</th>
            <th className="num">Sold for</th>
            <th className="num">The shop takes</th>
            <th className="num">For you</th>
            <th>
              <span className="sr-only">What happens</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {reseller.settlements.map((one) => (
            <tr key={one.id} className={one.takenBack ? 'text-soft line-through' : ''}>
              <td className="whitespace-nowrap">{fullDay(one.day)}</td>
              <td className="num">{one.units}</td>
              <td className="num">{one.sold.amount}</td>
              <td className="num">{one.taken.amount}</td>
              <td className="num font-bold">{one.rest.amount}</td>
              <td className="num">
                {!one.takenBack && (
                  <Button
                    look="quiet"
                    aria-label={`Undo the settlement of ${fullDay(one.day)}`}
                    disabled={undo.isPending}
                    onClick={() => undo.mutate(one.id)}
                  >
                    Undo
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function FactsPanel({ reseller, onClose }: { reseller: Reseller; onClose: () => void }) {
  const { data: channels } = useChannels();
  const [channelId, setChannelId] = useState(String(reseller.channelId));
  const [reach, setReach] = useState(reseller.reach);
  const [putAway, setPutAway] = useState(reseller.putAway);
  const [version, setVersion] = useState(reseller.version);
  const save = useSend(
    () =>
      api.put<Reseller>(`/api/resellers/${reseller.id}`, {
        version,
        channelId: Number(channelId),
        reach,
        putAway,
      }),
    onClose,
  );
  return (
    <Panel title={reseller.name} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (save.problem?.isClash) setVersion(save.problem.currentVersion ?? version);
          if (!save.isPending) save.mutate(undefined);
        }}
      >
        <SelectField
          label="It sells on the terms of"
          value={channelId}
          onChange={(event) => setChannelId(event.target.value)}
        >
          {channels?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.terms.name} · {one.says}
            </option>
          ))}
        </SelectField>
        <TextField
          label="How to reach it"
          maxLength={200}
          value={reach}
          error={save.problem?.on('reach')}
          onChange={(event) => setReach(event.target.value)}
        />
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={putAway}
            onChange={(event) => setPutAway(event.target.checked)}
          />
          It doesn’t sell my bags any more
        </label>
        <FormEnd problem={save.problem} isPending={save.isPending} />
      </form>
    </Panel>
  );
}
