import { Tabs } from 'radix-ui';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api } from '../../api/client';
import { useFair } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { fullDay, longDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';
import { AfterPart } from './AfterPart';
import { ChecksPart } from './ChecksPart';
import { FactsPart } from './FactsPart';
import { PackingPart } from './PackingPart';
import { SeriesPart } from './SeriesPart';
import { STATES } from './states';

const PARTS = [
  ['plan', 'Plan'],
  ['pack', 'Pack'],
  ['after', 'After'],
] as const;

/** A fair from the thought of it to its settlement. */
export default function FairPage() {
  const { id } = useParams();
  const fairId = Number(id);
  const { data: fair, error } = useFair(fairId);
  const [params, setParams] = useSearchParams();
  const part = params.get('part') ?? 'plan';
  const navigate = useNavigate();
  const remove = useSend(
    () => api.remove(`/api/fairs/${fairId}`),
    () => void navigate('/stalls'),
  );
  useTitle(fair?.form.name ?? 'Fair');
  if (error) return <ProblemNotice problem={error} />;
  if (!fair) return <p className="text-soft">Opening …</p>;
  const { form } = fair;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3 print:hidden">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls">
            Stalls
          </Link>
          <h1 className="flex flex-wrap items-center gap-3">
            {form.name}
            <Tag look={form.state === 'DONE' || form.state === 'PAID' ? 'ok' : 'plain'}>
              {STATES[form.state]}
            </Tag>
          </h1>
          <p className="text-soft">
            {longDay(form.heldOn)} {form.heldOn.slice(0, 4)}
            {form.endsOn && form.endsOn !== form.heldOn && ` to ${fullDay(form.endsOn)}`}
            {form.place && ` · ${form.place}`}
          </p>
        </div>
        <ButtonLink to={`/stalls/${fairId}/day`}>To the stall</ButtonLink>
      </header>
      {fair.nextTime && part !== 'after' && (
        <div className="mb-3">
          <Notice look="care">
            Noted after the last one: <span className="whitespace-pre-line">{fair.nextTime}</span>
          </Notice>
        </div>
      )}
      <Tabs.Root value={part} onValueChange={(next) => setParams({ part: next }, { replace: true })}>
        <Tabs.List aria-label="Parts of the fair" className="flex flex-wrap gap-0.5 print:hidden">
          {PARTS.map(([key, name]) => (
            <Tabs.Trigger
              key={key}
              value={key}
              className="min-h-11 rounded-t border border-b-0 border-line bg-ground px-5 font-semibold data-[state=active]:bg-white data-[state=active]:text-woad"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="plan">
          <div className="grid items-start gap-4 xl:grid-cols-[1fr_340px]">
            <FactsPart key={fairId} fair={fair} />
            <div className="space-y-4">
              <ChecksPart fair={fair} />
              <SeriesPart fair={fair} />
              <section className="px-1">
                <Button look="quiet" disabled={remove.isPending} onClick={() => remove.mutate(undefined)}>
                  Remove this fair
                </Button>
                {remove.problem && (
                  <div className="mt-2">
                    <ProblemNotice problem={remove.problem} />
                  </div>
                )}
              </section>
            </div>
          </div>
        </Tabs.Content>
        <Tabs.Content value="pack">
          <PackingPart fairId={fairId} />
        </Tabs.Content>
        <Tabs.Content value="after">
          <AfterPart key={form.version} fairId={fairId} />
        </Tabs.Content>
      </Tabs.Root>
    </>
  );
}
