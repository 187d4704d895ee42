import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button, FileLink } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';

type Import = Schemas['ImportView'];
type Verdict = Schemas['ImportLine']['verdict'];

const NAMES: Record<string, string> = {
  materials: 'Materials',
  lots: 'Lots',
  movements: 'Movements',
  shops: 'Shops',
  packs: 'What shops sell',
  'finished-bags': 'Finished bags',
  prices: 'Prices',
};

const VERDICTS: Record<Verdict, { word: string; look: 'ok' | 'care' | 'bad' | 'plain' }> = {
  ADD: { word: 'new', look: 'ok' },
  CHANGE: { word: 'changes', look: 'care' },
  SAME: { word: 'as it is', look: 'plain' },
  REFUSE: { word: 'refused', look: 'bad' },
};

const isBusy = (job?: Import) => job?.state === 'READING' || job?.state === 'ENTERING';

/** Lists as CSV: out as they are, in with a look at every line first. */
export default function FilesPage() {
  useTitle('Import and export');
  const { data: lists, error } = useQuery({
    queryKey: ['lists'],
    queryFn: () => api.get<Schemas['ListView'][]>('/api/lists'),
    staleTime: Infinity,
  });
  const [jobId, setJobId] = useState<string>();
  const { data: job, error: gone } = useQuery({
    queryKey: ['imports', jobId],
    queryFn: () => api.get<Import>(`/api/imports/${jobId}`),
    enabled: jobId !== undefined,
    refetchInterval: (query) => (isBusy(query.state.data) ? 250 : false),
  });
  const open = useSend(
    ({ list, file }: { list: string; file: Blob }) => api.post<Import>(`/api/imports?list=${list}`, file),
    (opened) => setJobId(opened.id),
  );
  if (error) return <ProblemNotice problem={error} />;
  return (
    <>
      <header className="mb-4">
        <h1>Import and export</h1>
        <p className="text-soft">
          As CSV, for any spreadsheet. What comes in is shown line by line first. A line that is wrong keeps
          the whole file out; a long file is entered part by part, and you can go on working meanwhile.
        </p>
      </header>
      <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
        {lists?.map((list) => (
          <li key={list.key} className="sheet p-4">
            <h2>{NAMES[list.key] ?? list.key}</h2>
            <div className="my-2 flex flex-wrap gap-2.5">
              <FileLink href={`/api/lists/${list.key}.csv`}>Export</FileLink>
              <label className="inline-flex min-h-11 cursor-pointer items-center rounded bg-woad px-4 font-semibold text-white focus-within:outline-3 focus-within:outline-woad">
                Import
                <input
                  type="file"
                  accept=".csv,.txt,text/csv,text/plain"
                  className="sr-only"
                  aria-label={`Import ${NAMES[list.key] ?? list.key}`}
                  onChange={(event) => {
                    const file = event.target.files?.[0];
                    if (file && !isBusy(job)) open.mutate({ list: list.key, file });
                    event.target.value = '';
                  }}
                />
              </label>
            </div>
            <details>
              <summary className="min-h-6 cursor-pointer font-semibold text-woad">Its columns</summary>
              <dl className="text-[13px]">
                {list.columns.map((column) => (
                  <div key={column.name}>
                    <dt className="inline font-semibold">{column.name}</dt>
                    <dd className="inline text-soft">
                      {column.required && ' (needed)'} {column.hint}
                    </dd>
                  </div>
                ))}
              </dl>
            </details>
          </li>
        ))}
      </ul>
      <ProblemNotice problem={open.problem ?? gone} />
      <BrokenOff job={job} />
      {job && <Job job={job} />}
    </>
  );
}

/** Files of which only a part is in, because the maker gave up or the power went. */
function BrokenOff({ job }: { job?: Import }) {
  const { data } = useQuery({
    queryKey: ['imports', 'broken-off', isBusy(job)],
    queryFn: () => api.get<Schemas['BrokenOffView'][]>('/api/imports/broken-off'),
  });
  const forget = useSend((mark: string) => api.remove(`/api/imports/broken-off/${mark}`));
  // A file that was just broken off says so itself.
  const others = data?.filter((file) => !(job?.refusal && file.list === job.list)) ?? [];
  return (
    <div className="mt-4 space-y-2 empty:hidden">
      {others.map((file) => (
        <Notice key={file.mark} look="care">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <span>
              {NAMES[file.list] ?? file.list}: a file was broken off on {fullDay(file.on)}. Of its{' '}
              {file.total} lines the first {file.linesIn} are entered. Bring the same file again, and it goes
              on from there.
            </span>
            <Button look="quiet" onClick={() => forget.mutate(file.mark)}>
              Leave it as it is
            </Button>
          </div>
        </Notice>
      ))}
    </div>
  );
}

function Job({ job }: { job: Import }) {
  const enter = useSend(() => api.post<Import>(`/api/imports/${job.id}/enter`, {}));
  const giveUp = useSend(() => api.remove(`/api/imports/${job.id}`));
  const share = job.total === 0 ? 0 : Math.round((100 * job.done) / job.total);
  return (
    <section className="sheet mt-4 p-4" aria-label="The file">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2>
          {NAMES[job.list] ?? job.list}
          {job.separator && (
            <span className="font-normal text-soft">
              {' '}
              · {job.total} lines, {job.separator} between the cells, {job.encoding}
            </span>
          )}
        </h2>
        <div className="flex gap-2.5">
          {(isBusy(job) || job.state === 'READ') && (
            <Button look="quiet" onClick={() => giveUp.mutate(undefined)}>
              Cancel
            </Button>
          )}
          {job.state === 'READ' && (
            <Button
              disabled={job.refused > 0 || job.adds + job.changes === 0 || enter.isPending}
              onClick={() => !enter.isPending && enter.mutate(undefined)}
            >
              Enter all of it
            </Button>
          )}
        </div>
      </div>
      {isBusy(job) && (
        <div className="my-3">
          <div
            role="progressbar"
            aria-valuenow={share}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-label={job.state === 'READING' ? 'Looking at the lines' : 'Entering the lines'}
            className="h-3 overflow-hidden rounded bg-line-faint"
          >
            <div className="h-full bg-woad" style={{ width: `${share}%` }} />
          </div>
          <p className="mt-1 text-soft">
            {job.state === 'READING' ? 'Looking at' : 'Entering'} line {job.done} of {job.total} …
          </p>
        </div>
      )}
      {job.refusal && <Notice look={job.state === 'GIVEN_UP' ? 'care' : undefined}>{job.refusal}</Notice>}
      {job.note && !job.refusal && job.state !== 'ENTERED' && <Notice look="care">{job.note}</Notice>}
      {job.state === 'ENTERED' && <Notice look="care">All of it is entered.</Notice>}
      {job.state === 'GIVEN_UP' && !job.refusal && (
        <Notice look="care">Cancelled; nothing was entered.</Notice>
      )}
      <ProblemNotice problem={enter.problem ?? giveUp.problem} />
      {job.unknown.length > 0 && (
        <p className="mt-2 text-soft">Columns that are left out: {job.unknown.join(', ')}.</p>
      )}
      {!isBusy(job) && job.total > 0 && (
        <>
          <p className="my-2">
            <b>{job.adds}</b> new, <b>{job.changes}</b> changed, <b>{job.same}</b> as they are,{' '}
            <b className={job.refused > 0 ? 'text-madder' : ''}>{job.refused}</b> refused
            {job.refused > 0 && '. As long as one is refused, nothing is entered.'}
          </p>
          <table className="listing">
            <thead>
              <tr>
                <th className="num w-[64px]">Row</th>
                <th className="w-[100px]">What</th>
                <th>Line</th>
                <th>Why</th>
              </tr>
            </thead>
            <tbody>
              {job.lines.map((line) => (
                <tr key={line.number}>
                  <td className="num">{line.number}</td>
                  <td>
                    <Tag look={VERDICTS[line.verdict].look}>{VERDICTS[line.verdict].word}</Tag>
                  </td>
                  <td>{line.what}</td>
                  <td>
                    {line.reasons.map((reason) => (
                      <span key={reason} className="block">
                        {reason}
                      </span>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {job.total > job.lines.length && job.lines.length > 0 && (
            <p className="mt-2 text-soft">
              {job.lines.length} of {job.total} lines are shown, those that are refused first.
            </p>
          )}
        </>
      )}
    </section>
  );
}
