import { useState } from 'react';
import { Link } from 'react-router';
import { useBatches, useDesignNames, useFairs } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { More } from '../../ui/More';
import { ProblemNotice } from '../../ui/Notice';
import { RunningStitch } from '../../ui/RunningStitch';
import { Tag } from '../../ui/Tag';
import { day } from '../../ui/units';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';

type Open = 'OPEN' | 'PLANNED' | 'CUT';
type Batches = ReturnType<typeof useBatches>;

export default function BatchesPage() {
  useTitle('Batches');
  const [query, setQuery] = useState('');
  const [stage, setStage] = useState<Open>('OPEN');
  const words = useSettled(query, 200);
  const [design, setDesign] = useState('');
  const [forWhat, setForWhat] = useState('');
  const { data: designs } = useDesignNames();
  const { data: fairs } = useFairs();
  const open = useBatches(stage, words, { design, forWhat });
  const done = useBatches('FINISHED', words, { design, forWhat });
  const error = open.error ?? done.error;
  if (error) return <ProblemNotice problem={error} />;
  const none = open.items?.length === 0 && done.items?.length === 0;
  const searched = words.trim() !== '' || stage !== 'OPEN' || design !== '' || forWhat !== '';
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1>Batches</h1>
        <div className="flex flex-wrap items-end gap-3">
          {(!none || searched || query !== '') && (
            <>
              <div className="w-[200px]">
                <TextField
                  label="Find"
                  placeholder="a design, a number …"
                  maxLength={120}
                  value={query}
                  onChange={(event) => setQuery(event.target.value)}
                />
              </div>
              <div className="w-[150px]">
                <SelectField
                  label="Design"
                  value={design}
                  onChange={(event) => setDesign(event.target.value)}
                >
                  <option value="">any</option>
                  {designs?.map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.name}
                    </option>
                  ))}
                </SelectField>
              </div>
              <div className="w-[150px]">
                <SelectField label="For" value={forWhat} onChange={(event) => setForWhat(event.target.value)}>
                  <option value="">anything</option>
                  {[...new Set(fairs?.map((fair) => fair.name))].map((name) => (
                    <option key={name} value={name}>
                      {name}
                    </option>
                  ))}
                </SelectField>
              </div>
              <div className="w-[130px]">
                <SelectField
                  label="On the go"
                  value={stage}
                  onChange={(event) => setStage(event.target.value as Open)}
                >
                  <option value="OPEN">all</option>
                  <option value="PLANNED">only planned</option>
                  <option value="CUT">only cut</option>
                </SelectField>
              </div>
            </>
          )}
          <ButtonLink look="quiet" to="/batches/what-to-make">
            What to make
          </ButtonLink>
          <ButtonLink to="/batches/new">New batch</ButtonLink>
        </div>
      </header>
      {none && !searched && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No batch yet</h2>
          <p className="mt-1 text-soft">
            Choose a design, a size, the cloth and how many: the plan follows at once.
          </p>
        </section>
      )}
      {none && searched && <p className="text-soft">No batch is like that.</p>}
      <Table title="On the go" batches={open} />
      <Table title="Finished" batches={done} />
    </>
  );
}

function Table({ title, batches }: { title: string; batches: Batches }) {
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
            <th className="num">Left per hour</th>
          </tr>
        </thead>
        <tbody>
          {batches.items.map((batch) => {
            const finished = batch.stage === 'FINISHED';
            const dropped = batch.stage === 'DROPPED';
            return (
              <tr key={batch.id}>
                <td>
                  <Link to={`/batches/${batch.id}`} className="font-semibold text-woad hover:underline">
                    {finished ? batch.doneUnits : batch.units} × {batch.designName}
                  </Link>
                  <span className="block text-[13px] text-soft">
                    Batch {batch.id} · {batch.lineCount > 1 ? `${batch.lineCount} lines` : batch.sizeName}
                    {batch.clothName && ` · ${batch.clothName}`}
                    {finished &&
                      batch.doneUnits < batch.units &&
                      ` · ${batch.units - batch.doneUnits} spoiled`}
                    {dropped && (batch.units > 0 ? ' · given up' : ' · dropped after it was cut')}
                    {!finished && batch.doneUnits > 0 && ` · ${batch.doneUnits} done`}
                  </span>
                </td>
                <td>
                  <RunningStitch
                    stage={dropped && batch.units > 0 ? 'PLANNED' : batch.stage}
                    width={210}
                    small
                  />
                </td>
                <td>
                  {batch.forWhat || '–'}
                  <span className="block text-[13px] text-soft">
                    {batch.dueOn && day(batch.dueOn)} {batch.paused && <Tag look="plain">put aside</Tag>}{' '}
                    {batch.isShort && <Tag look="bad">material short</Tag>}
                  </span>
                </td>
                <td className="num">
                  {batch.cost?.amount ?? (batch.total ? <span>{batch.total.amount} in all</span> : '–')}
                </td>
                <td className="num">{batch.price?.amount ?? '–'}</td>
                <td className="num">
                  <b>{batch.perHour?.amount ?? '–'}</b>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <More list={batches} />
    </section>
  );
}
