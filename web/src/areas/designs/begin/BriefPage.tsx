import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from 'react-router';
import { api, Problem, type Schemas } from '../../../api/client';
import { keys } from '../../../api/queries';
import { Button, ButtonLink } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { FinishedBag } from '../../../ui/BagPicture';
import { Ticket } from '../../../ui/Ticket';
import { sides, useUnits } from '../../../ui/units';
import { useDraft } from '../../../ui/useDraft';
import { useSend } from '../../../ui/useSend';
import { useSettled } from '../../../ui/useSettled';
import { useTitle } from '../../../ui/useTitle';
import { uuid } from '../../../ui/uuid';
import { begun, type Brief, type Draft } from './brief';
import { ChoiceList } from './ChoiceList';
import { ClothPart } from './ClothPart';
import { KnownPart, MeasureField } from './KnownPart';

/** From what a maker knows of a bag to its pieces and its price, all on one page. */
export default function BriefPage() {
  const { kind = '' } = useParams();
  return <BriefEditor key={kind} kind={kind as Brief['kind']} />;
}

function BriefEditor({ kind }: { kind: Brief['kind'] }) {
  const navigate = useNavigate();
  const kept = useDraft(`mardun.brief.${kind}`, { brief: begun(kind), requestId: uuid() });
  const { brief, requestId } = kept.value ?? { brief: begun(kind), requestId: uuid() };
  const change = (next: Partial<Brief>) =>
    kept.update((before) => ({ ...before, brief: { ...before.brief, ...next } }));
  const settled = useSettled(brief, 120);
  const { data, error, isFetching } = useQuery({
    queryKey: [...keys.designs, 'draft', settled],
    queryFn: ({ signal }) => api.post<Draft>('/api/kinds/draft', settled, signal),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
  const make = useSend(
    () => api.post<Schemas['DesignView']>('/api/kinds/designs', { requestId, brief }),
    (design) => {
      kept.giveUp();
      navigate(`/designs/${design.id}`);
    },
  );
  useTitle(brief.name || 'New design');
  if (error && !data) {
    const unknown = error instanceof Problem && error.status === 400;
    return (
      <div className="space-y-3">
        {unknown ? <Notice>There is no such kind of bag.</Notice> : <ProblemNotice problem={error} />}
        <ButtonLink look="quiet" to="/designs/new">
          To the kinds
        </ButtonLink>
      </div>
    );
  }
  if (!data) return <p className="text-soft">Drawing …</p>;
  const size = data.sheet.sizes[0];
  return (
    <form
      noValidate
      onKeyDown={(event) => {
        // Enter after a measure goes on; only the name and the button save.
        const target = event.target as HTMLElement;
        if (event.key === 'Enter' && target.tagName === 'INPUT' && target.getAttribute('name') !== 'name') {
          event.preventDefault();
        }
      }}
      onSubmit={(event) => {
        event.preventDefault();
        if (!make.isPending) make.mutate(undefined);
      }}
    >
      <header className="mb-3 flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1">
          <div className="mb-1 text-soft">
            <Link to="/designs">Designs</Link> · <Link to="/designs/new">new</Link> · {data.kind}
          </div>
          <div className="max-w-[460px]">
            <TextField
              name="name"
              label="What do you call it?"
              hideLabel
              className="text-xl font-bold"
              placeholder="What do you call it?"
              value={brief.name}
              maxLength={120}
              error={make.problem?.on('name')}
              onChange={(event) => change({ name: event.target.value })}
            />
          </div>
        </div>
        <div className="pt-7">
          <Button type="submit" disabled={make.isPending}>
            Save the design
          </Button>
        </div>
      </header>
      {make.problem && !make.problem.on('name') && (
        <div className="mb-3">
          <ProblemNotice problem={make.problem} />
        </div>
      )}
      <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_372px]">
        <div className="min-w-0 space-y-3.5">
          <KnownPart brief={brief} draft={data} problem={error} onChange={change} />
          {data.choices.length > 0 && (
            <section className="sheet p-4" aria-label="How is it made?">
              <h2>How is it made?</h2>
              <ChoiceList
                choices={data.choices}
                measuresOf={(choice) =>
                  data.measures
                    .filter((measure) => measure.part === choice)
                    .map((measure) => (
                      <MeasureField
                        key={measure.symbol}
                        measure={measure}
                        typed={brief.measures[measure.symbol]}
                        size={size}
                        onType={(value) =>
                          change({ measures: { ...brief.measures, [measure.symbol]: value } })
                        }
                      />
                    ))
                }
                onChoose={(choice, option) => change({ chosen: { ...brief.chosen, [choice]: option } })}
              />
            </section>
          )}
          <ClothPart
            slots={data.slots}
            chosen={brief.materials}
            onChoose={(slot, materialId) => {
              const materials = { ...brief.materials };
              if (materialId === undefined) delete materials[slot];
              else materials[slot] = materialId;
              change({ materials });
            }}
          />
        </div>
        <div className="space-y-3.5 lg:sticky lg:top-0">
          <section className="sheet p-4" aria-label="The finished bag" aria-busy={isFetching}>
            {size?.finished ? (
              <FinishedBag finished={size.finished} across={330} up={190} />
            ) : (
              <p className="py-6 text-center text-soft">It is drawn once its measures can be read.</p>
            )}
            <Findings findings={size?.findings ?? []} disagreements={data.disagreements} />
          </section>
          {size && size.pieces.length > 0 && <CutList size={size} />}
          <Ticket ticket={size?.ticket} missing={size?.ticketMissing} stale={isFetching} />
        </div>
      </div>
    </form>
  );
}

/** What can't be sewn, what a careful maker would look at, and what on the paper doesn't agree. */
function Findings({
  findings,
  disagreements,
}: {
  findings: Schemas['FindingView'][];
  disagreements: string[];
}) {
  const elsewhere = findings.filter((finding) => !finding.place.startsWith('measurements.'));
  return (
    <div className="space-y-2 not-empty:mt-3">
      {disagreements.map((sentence) => (
        <Notice key={sentence} look="care">
          {sentence}
        </Notice>
      ))}
      {[...new Set(elsewhere.map((finding) => finding.sentence))].slice(0, 4).map((sentence) => (
        <Notice
          key={sentence}
          look={elsewhere.some((f) => f.sentence === sentence && f.severity === 'REFUSED') ? 'bad' : 'care'}
        >
          {sentence}
        </Notice>
      ))}
    </div>
  );
}

function CutList({ size }: { size: Schemas['SizeSheet'] }) {
  const units = useUnits();
  return (
    <section className="sheet p-4" aria-label="Cut list">
      <h2>To cut for one</h2>
      <table className="mt-1 w-full">
        <tbody>
          {size.pieces.map((piece) => (
            <tr key={piece.letter} className="border-t border-line align-baseline first:border-0">
              <td className="w-6 font-semibold">{piece.letter}</td>
              <td>
                {piece.count} × {piece.name}
              </td>
              <td className="text-right whitespace-nowrap">
                {sides(units.own(piece.width.value), units.own(piece.height.value))}
              </td>
            </tr>
          ))}
          {size.trims.map((trim) => (
            <tr key={trim.letter} className="border-t border-line align-baseline">
              <td className="w-6 font-semibold">{trim.letter}</td>
              <td>
                {trim.count} × {trim.name}
              </td>
              <td className="text-right whitespace-nowrap">{units.own(trim.length.value)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {size.corner && (
        <p className="mt-1 text-[14px] text-soft">
          Corners {size.corner.words}: {units.own(size.corner.fromSide.value)} from the side,{' '}
          {units.own(size.corner.fromBase.value)} from the base.
        </p>
      )}
    </section>
  );
}
