import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { keys, useDesignNames } from '../../../api/queries';
import { BagPicture } from '../../../ui/BagPicture';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { ProblemNotice } from '../../../ui/Notice';
import { useRequestId, useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';

/** The wall of kinds: what a new design begins as. */
export default function KindsPage() {
  useTitle('New design');
  const { data: kinds, error } = useQuery({
    queryKey: [...keys.designs, 'kinds'],
    queryFn: () => api.get<Schemas['KindView'][]>('/api/kinds'),
  });
  if (error) return <ProblemNotice problem={error} />;
  return (
    <>
      <header className="mb-3">
        <div className="text-soft">
          <Link to="/designs">Designs</Link> · new
        </div>
        <h1>What kind of thing is it?</h1>
      </header>
      {!kinds && <p className="text-soft">Drawing the kinds …</p>}
      <ul className="grid grid-cols-2 gap-3 md:grid-cols-3 lg:grid-cols-4 xl:grid-cols-5">
        {kinds?.map((kind) => (
          <li key={kind.kind}>
            <KindCard kind={kind} />
          </li>
        ))}
      </ul>
      {kinds && <FromAnother />}
    </>
  );
}

function KindCard({ kind }: { kind: Schemas['KindView'] }) {
  return (
    <Link to={`/designs/new/${kind.kind}`} className="sheet flex h-full flex-col p-3 hover:bg-woad-tint">
      <span className="flex h-[132px] items-end justify-center">
        {kind.picture && <BagPicture picture={kind.picture} across={190} up={128} />}
      </span>
      <b className="mt-2 leading-tight">{kind.words}</b>
      <span className="text-[14px] leading-snug text-soft">{kind.sentence}</span>
      <span className="mt-auto pt-1 text-[13px] text-soft">{kind.measures.join(' × ')}</span>
    </Link>
  );
}

/** A copy of a design that is there, or a sheet with nothing on it. */
function FromAnother() {
  const navigate = useNavigate();
  const request = useRequestId();
  const { data: designs } = useDesignNames();
  const [name, setName] = useState('');
  const [from, setFrom] = useState('');
  const begin = useSend(
    () =>
      api.post<Schemas['DesignView']>('/api/designs', {
        requestId: request.id,
        name,
        ...(from ? { copyOf: Number(from) } : { pattern: 'blank' }),
      }),
    (design) => navigate(`/designs/${design.id}`),
  );
  return (
    <section className="sheet mt-4 p-4" aria-label="From another design">
      <h2>From a design that is there</h2>
      <form
        noValidate
        className="mt-2 grid items-start gap-3 md:grid-cols-[1fr_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          if (!begin.isPending) begin.mutate(undefined);
        }}
      >
        <SelectField label="Begin with" value={from} onChange={(event) => setFrom(event.target.value)}>
          <option value="">a blank sheet, all by hand</option>
          {designs?.map((design) => (
            <option key={design.id} value={design.id}>
              a copy of {design.name}
            </option>
          ))}
        </SelectField>
        <TextField
          label="What do you call it?"
          value={name}
          error={begin.problem?.on('name')}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="pt-[22px]">
          <Button type="submit" look="quiet" disabled={begin.isPending}>
            Begin
          </Button>
        </div>
      </form>
      {begin.problem && begin.problem.errors.length === 0 && <ProblemNotice problem={begin.problem} />}
    </section>
  );
}
