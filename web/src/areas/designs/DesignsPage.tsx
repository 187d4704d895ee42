import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { BagPicture } from '../../ui/BagPicture';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { useUnits } from '../../ui/units';
import { Export } from './Export';
import { TakeIn } from './TakeIn';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';

const PAGE = 24;

/** All designs, to be found by name, sort, designer or piece. */
export default function DesignsPage() {
  useTitle('Designs');
  const [params, setParams] = useSearchParams();
  const search = params.get('search') ?? '';
  const putAway = params.get('away') === 'yes';
  const page = Number(params.get('page') ?? '0');
  const settled = useSettled(search, 120);
  const { data, error } = useQuery({
    queryKey: [...keys.designs, 'list', settled, putAway, page],
    queryFn: () =>
      api.get<Schemas['PageViewDesignLine']>(
        `/api/designs?size=${PAGE}&putAway=${putAway}&page=${page}&search=${encodeURIComponent(settled)}`,
      ),
    placeholderData: keepPreviousData,
  });
  if (error) return <ProblemNotice problem={error} />;
  const none = data?.total === 0;
  const go = (next: { search?: string; away?: boolean; page?: number }) => {
    const to = { search, away: putAway, page: 0, ...next };
    setParams(
      {
        ...(to.search && { search: to.search }),
        ...(to.away && { away: 'yes' }),
        ...(to.page > 0 && { page: String(to.page) }),
      },
      { replace: next.page === undefined },
    );
  };
  return (
    <>
      <header className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1>Designs</h1>
        <div className="flex flex-wrap items-end gap-2.5">
          {(!none || search || putAway) && (
            <div className="w-[260px]">
              <TextField
                label="Find a design"
                hideLabel
                type="search"
                maxLength={100}
                placeholder="Find: name, sort, designer, piece"
                value={search}
                onChange={(event) => go({ search: event.target.value })}
              />
            </div>
          )}
          <Button look="quiet" aria-pressed={putAway} onClick={() => go({ away: !putAway })}>
            {putAway ? 'Those in use' : 'Put away'}
          </Button>
          {!none && <Export />}
          <TakeIn />
          <ButtonLink to="/designs/new">New design</ButtonLink>
        </div>
      </header>
      {none && !search && !putAway && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No design yet</h2>
          <p className="mt-1 text-soft">
            Choose what kind of thing it is. Then say how large it shall be, or what your paper says to cut,
            or measure a bag that lies on the table: its pieces, steps and price follow.
          </p>
        </section>
      )}
      {none && (search || putAway) && (
        <p className="text-soft">{search ? `No design has “${search}” in it.` : 'No design is put away.'}</p>
      )}
      <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {data?.items.map((design) => (
          <li key={design.id}>
            <DesignCard design={design} />
          </li>
        ))}
      </ul>
      {data && data.total > PAGE && (
        <div className="mt-4 flex items-center gap-3">
          <Button look="quiet" disabled={page === 0} onClick={() => go({ page: page - 1 })}>
            Previous
          </Button>
          <span className="text-soft">
            {page * PAGE + 1} to {Math.min(data.total, (page + 1) * PAGE)} of {data.total}
          </span>
          <Button
            look="quiet"
            disabled={(page + 1) * PAGE >= data.total}
            onClick={() => go({ page: page + 1 })}
          >
            Next
          </Button>
        </div>
      )}
    </>
  );
}

function DesignCard({ design }: { design: Schemas['DesignLine'] }) {
  const units = useUnits();
  const measures = design.measures;
  return (
    <Link
      to={`/designs/${design.id}`}
      className="sheet grid h-full grid-cols-[112px_1fr] items-center gap-3 p-3 hover:bg-woad-tint"
    >
      <span className="flex justify-center">
        {design.photo ? (
          <img src={design.photo} alt="" className="h-[104px] w-[108px] rounded object-cover" />
        ) : (
          design.picture && <BagPicture picture={design.picture} across={108} up={104} />
        )}
      </span>
      <span>
        <span className="flex items-start justify-between gap-2">
          <b className="text-lg leading-tight">{design.name}</b>
          {design.toLookAt > 0 && <Tag look="care">{design.toLookAt} to look at</Tag>}
        </span>
        <span className="block text-soft">
          {[design.sort, design.sizes.length > 1 && design.sizes.join(', ')].filter(Boolean).join(' · ')}
        </span>
        {measures.length > 0 && (
          <span className="mt-1 block">
            {measures.map(units.own).join(' × ')}
            <span className="text-soft"> finished</span>
          </span>
        )}
        {design.cost && design.price ? (
          <span className="mt-1 flex flex-wrap items-baseline gap-x-3">
            <span>
              <span className="text-soft">costs</span> <b>{design.cost.amount}</b>
            </span>
            <span>
              <span className="text-soft">stall</span> <b>{design.price.amount}</b>
            </span>
            {design.perHour && (
              <span>
                <span className="text-soft">an hour</span>{' '}
                <b className="text-moss">{design.perHour.amount}</b>
              </span>
            )}
          </span>
        ) : (
          <span className="mt-1 block text-soft">Choose its materials, and it has a ticket.</span>
        )}
      </span>
    </Link>
  );
}
