import { Link } from 'react-router';
import { useBatches } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { More } from '../../ui/More';
import { ProblemNotice } from '../../ui/Notice';
import { RunningStitch } from '../../ui/RunningStitch';
import { Tag } from '../../ui/Tag';
import { day } from '../../ui/units';
import { useTitle } from '../../ui/useTitle';

export default function BatchesPage() {
  useTitle('Batches');
  const open = useBatches(true);
  const done = useBatches(false);
  const error = open.error ?? done.error;
  if (error) return <ProblemNotice problem={error} />;
  return (
    <>
      <header className="mb-4 flex items-center justify-between">
        <h1>Batches</h1>
        <ButtonLink to="/batches/new">New batch</ButtonLink>
      </header>
      {open.items?.length === 0 && done.items?.length === 0 && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No batch yet</h2>
          <p className="mt-1 text-soft">
            Choose a design, a size, the cloth and how many: the plan follows at once.
          </p>
        </section>
      )}
      <Table title="On the go" batches={open} />
      <Table title="Finished" batches={done} />
    </>
  );
}

function Table({ title, batches }: { title: string; batches: ReturnType<typeof useBatches> }) {
  if (!batches.items?.length) return null;
  return (
    <section className="sheet mb-4 px-2 py-3" aria-label={title}>
      <h2 className="px-2">{title}</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Batch</th>
            <th className="w-[230px]">Stage</th>
            <th>For</th>
            <th className="num">Cost each</th>
            <th className="num">Price</th>
            <th className="num">Left an hour</th>
          </tr>
        </thead>
        <tbody>
          {batches.items.map((batch) => (
            <tr key={batch.id}>
              <td>
                <Link to={`/batches/${batch.id}`} className="font-semibold text-woad hover:underline">
                  {batch.finishedUnits ?? batch.units} × {batch.designName}
                </Link>
                <span className="block text-[13px] text-soft">
                  Batch {batch.id} · {batch.sizeName} · {batch.clothName}
                  {batch.finishedUnits !== undefined &&
                    batch.finishedUnits < batch.units &&
                    ` · ${batch.units - batch.finishedUnits} spoiled`}
                </span>
              </td>
              <td>
                <RunningStitch stage={batch.stage} width={210} small />
              </td>
              <td>
                {batch.forWhat || '–'}
                <span className="block text-[13px] text-soft">
                  {batch.dueOn && day(batch.dueOn)} {batch.isShort && <Tag look="bad">material short</Tag>}
                </span>
              </td>
              <td className="num">{batch.cost?.amount ?? '–'}</td>
              <td className="num">{batch.price?.amount ?? '–'}</td>
              <td className="num">
                <b>{batch.perHour?.amount ?? '–'}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <More list={batches} />
    </section>
  );
}
