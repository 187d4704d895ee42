import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useTitle } from '../../ui/useTitle';
import { age, GOODS_KINDS } from './goodsWords';
import { QUALITY } from '../../ui/quality';

type Story = Schemas['BagStory'];

/** All that is known of bags that were done together, from the bench to their buyers. */
export default function BagStoryPage() {
  const id = Number(useParams().id);
  const { data: story, error } = useQuery({
    queryKey: [...keys.finishedGoods, id],
    queryFn: () => api.get<Story>(`/api/finished-goods/${id}`),
  });
  const name = story && [story.bags.designName, story.bags.sizeName].filter(Boolean).join(', ');
  useTitle(name ?? 'Finished bags');
  if (error) return <ProblemNotice problem={error} />;
  if (!story) return <p className="text-soft">Opening …</p>;
  return (
    <>
      <header className="mb-3">
        <Link className="inline-block min-h-6 text-soft hover:underline" to="/materials/finished">
          Finished bags
        </Link>
        <h1>{name}</h1>
        <p className="text-soft">
          {story.bags.clothName}{' '}
          {QUALITY[story.bags.quality] && <Tag look="care">{QUALITY[story.bags.quality]}</Tag>}
        </p>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[340px_1fr]">
        <div className="space-y-4">
          <Made story={story} />
          <Where story={story} />
        </div>
        <div className="space-y-4">
          <Sold story={story} />
          <Tickets story={story} />
          <Moved story={story} />
        </div>
      </div>
    </>
  );
}

function Made({ story }: { story: Story }) {
  const { bags } = story;
  const rows: [string, string | undefined][] = [
    ['Material', story.material?.amount],
    ['Work', story.labour?.amount],
    ['Overheads', story.overheads?.amount],
  ];
  return (
    <section className="sheet space-y-1 p-4" aria-label="How they were made">
      <h2>How they were made</h2>
      <p>
        {story.made} done on {fullDay(bags.finishedOn)}
        <span className="block text-[13px] text-soft">{age(bags.daysOld)}</span>
      </p>
      {bags.batchId !== undefined && (
        <p>
          <Link className="font-semibold text-woad hover:underline" to={`/batches/${bags.batchId}`}>
            Batch {bags.batchId}
          </Link>
        </p>
      )}
      {story.from !== undefined && (
        <p>
          Parted, as seconds, from{' '}
          <Link className="font-semibold text-woad hover:underline" to={`/materials/finished/${story.from}`}>
            bags that were done together with them
          </Link>
          .
        </p>
      )}
      {story.seconds.map((id) => (
        <p key={id}>
          <Link className="font-semibold text-woad hover:underline" to={`/materials/finished/${id}`}>
            Some turned out to be seconds
          </Link>
        </p>
      ))}
      <dl className="grid grid-cols-[1fr_auto] gap-y-0.5">
        {rows.map(
          ([what, amount]) =>
            amount && (
              <div key={what} className="contents">
                <dt className="text-soft">{what}</dt>
                <dd className="text-right">{amount}</dd>
              </div>
            ),
        )}
        <dt className="font-bold">One cost</dt>
        <dd className="text-right font-bold">{bags.unitCost.amount}</dd>
        {story.time && (
          <>
            <dt className="text-soft">One took</dt>
            <dd className="text-right">{story.time.text}</dd>
          </>
        )}
        <dt className="text-soft">Price when they were done</dt>
        <dd className="text-right">{bags.price.amount}</dd>
      </dl>
    </section>
  );
}

function Where({ story }: { story: Story }) {
  return (
    <section className="sheet p-4" aria-label="Where they are">
      <h2>Where they are</h2>
      {story.bags.places.length === 0 ? (
        <p className="text-soft">None are left.</p>
      ) : (
        <ul>
          {story.bags.places.map(({ place, units }) => (
            <li key={place}>
              <b>{units}</b> {place}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Sold({ story }: { story: Story }) {
  return (
    <section className="sheet overflow-x-auto px-4 py-3" aria-label="Sold">
      <h2>
        Sold: {story.soldUnits} of {story.made}
      </h2>
      {story.sold.length > 0 && (
        <table className="listing">
          <thead>
            <tr>
              <th>On</th>
              <th>Where</th>
              <th className="num">Bags</th>
              <th className="num">Paid</th>
            </tr>
          </thead>
          <tbody>
            {story.sold.map((one, i) => (
              <tr key={i}>
                <td className="whitespace-nowrap">{fullDay(one.day)}</td>
                <td>
                  {one.fairId === undefined ? (
                    one.where
                  ) : (
                    <Link className="font-semibold text-woad hover:underline" to={`/stalls/${one.fairId}`}>
                      {one.where}
                    </Link>
                  )}
                  {one.note && <span className="block text-[13px] text-soft">{one.note}</span>}
                </td>
                <td className="num">{one.units}</td>
                <td className="num">{one.paid.amount}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Tickets({ story }: { story: Story }) {
  if (story.tickets.length === 0) return null;
  return (
    <section className="sheet px-4 py-3" aria-label="Tickets">
      <h2>Tickets</h2>
      <ul>
        {story.tickets.map((one, i) => (
          <li key={i}>
            {fullDay(one.day)}: {one.units}
            {one.price && ` at ${one.price.amount}`}
            {one.channel && <span className="text-soft"> · {one.channel}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Moved({ story }: { story: Story }) {
  return (
    <section className="sheet overflow-x-auto px-4 py-3" aria-label="How they came and went">
      <h2>How they came and went</h2>
      <table className="listing">
        <tbody>
          {story.moved.map((one, i) => (
            <tr key={i}>
              <td className="w-[140px] whitespace-nowrap text-soft">{fullDay(one.day)}</td>
              <td>
                {GOODS_KINDS[one.kind]}, {one.place}
                <span className="block text-[13px] text-soft">{one.reason}</span>
              </td>
              <td className="num">
                {one.change > 0 && '+'}
                {one.change}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
