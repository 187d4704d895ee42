import { useQuery } from '@tanstack/react-query';
import { api, Problem, type Schemas } from '../../api/client';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';
import { ChoiceList } from './begin/ChoiceList';
import { type Document, useEditing } from './editing';

type Rechosen = Schemas['RechosenView'];

const rechoose = (document: Document, chosen: Schemas['Rechosen']['chosen']) =>
  api.post<Rechosen>('/api/designs/rechosen', { document, chosen });

/** How the bag is made, of a design that was begun from a kind: changing a choice keeps everything else. */
export function MadeTab() {
  const { document, change } = useEditing();
  const chosen = document.begun?.chosen ?? {};
  const { data, error } = useQuery({
    queryKey: ['choices', document.begun],
    queryFn: () => rechoose(document, chosen),
    enabled: !!document.begun,
  });
  const choose = useSend(
    (next: Schemas['Rechosen']['chosen']) => rechoose(document, next),
    (got) => change(got.document),
  );
  if (error instanceof Problem) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <>
      <p className="text-soft">
        Pieces, trims and steps follow these choices. What you changed by hand stays as you left it.
      </p>
      <div className="space-y-2 not-empty:my-2">
        {choose.data?.kept.map((sentence) => (
          <Notice key={sentence} look="care">
            {sentence}
          </Notice>
        ))}
        <ProblemNotice problem={choose.problem} />
      </div>
      <ChoiceList
        choices={data.choices}
        onChoose={(choice, option) => {
          if (!choose.isPending) choose.mutate({ ...chosen, [choice]: option });
        }}
      />
    </>
  );
}
