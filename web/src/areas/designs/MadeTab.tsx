import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, Problem, type Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { ChoiceList } from './begin/ChoiceList';
import { type Document, replaced, useEditing, useFindings } from './editing';

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
    placeholderData: keepPreviousData,
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
        measuresOf={(choice) =>
          (data.measures ?? [])
            .filter((measure) => measure.part === choice)
            .flatMap(({ symbol }) => {
              const at = document.measurements.findIndex((row) => row.symbol === symbol);
              const row = document.measurements[at];
              return row ? [<Measure key={symbol} row={row} at={at} />] : [];
            })
        }
        onChoose={(choice, option) => {
          if (!choose.isPending) choose.mutate({ ...chosen, [choice]: option });
        }}
      />
    </>
  );
}

/** A measurement of the design; where its sizes differ, it is changed among all measurements. */
function Measure({ row, at }: { row: Document['measurements'][number]; at: number }) {
  const { document, shown, change } = useEditing();
  const units = useUnits();
  const read = shown?.measurements.find(({ symbol }) => symbol === row.symbol);
  const own = document.sizes.indexOf(shown?.size ?? '');
  const place = row.values.length === 1 ? 0 : own;
  const finding = useFindings(`measurements.${row.symbol}`).find(({ severity }) => severity === 'REFUSED');
  return (
    <TextField
      label={row.values.length === 1 ? row.label : `${row.label}, ${shown?.size}`}
      value={row.values[place] ?? ''}
      maxLength={1000}
      error={finding?.sentence}
      hint={read?.value ? `${units.own(read.value)} · ${units.other(read.value)}` : read?.text}
      onChange={(event) =>
        change({
          measurements: replaced(document.measurements, at, {
            values: row.values.map((value, i) => (i === place ? event.target.value : value)),
          }),
        })
      }
    />
  );
}
