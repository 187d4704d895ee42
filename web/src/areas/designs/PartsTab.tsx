import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { BagPicture } from '../../ui/BagPicture';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { PieceShape } from '../../ui/PieceDrawing';
import { sides, useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { ChoiceList } from './begin/ChoiceList';
import { type Document, useEditing } from './editing';
import { SlotMaterial } from './fields';
import { PartMeasure } from './PartMeasure';

type Rechosen = Schemas['RechosenView'];
type Chosen = Schemas['Rechosen']['chosen'];
type Part = Schemas['BagPartView'];

const rechoose = (document: Document, chosen: Chosen) =>
  api.post<Rechosen>('/api/designs/rechosen', { document, chosen });

/** How much room the drawing of a part has, in pixels. */
const ROOM = { across: 150, up: 112 };

/**
 * The bag part by part, each with its drawing, what is cut for it, its cloth and its few choices. Changing a choice keeps
 * everything else; a design that was drawn by hand has no choices.
 */
export function PartsTab() {
  const { document, sheet, change } = useEditing();
  const chosen = document.begun?.chosen ?? {};
  const { data, error } = useQuery({
    queryKey: ['choices', document.begun],
    queryFn: () => rechoose(document, chosen),
    enabled: !!document.begun,
    placeholderData: keepPreviousData,
  });
  const choose = useSend(
    (next: Chosen) => rechoose(document, next),
    (got) => change(got.document),
  );
  const choices = (data?.choices ?? []).filter((choice) => choice.choice in chosen);
  const shownBefore = new Set<string>();
  return (
    <>
      <div className="space-y-2 not-empty:mb-2">
        <ProblemNotice problem={error ?? choose.problem} />
        {choose.data?.kept.map((sentence) => (
          <Notice key={sentence} look="care">
            {sentence}
          </Notice>
        ))}
      </div>
      <div className="divide-y divide-line">
        {sheet.parts.map((part) => {
          const its = choices.filter((choice) => choice.part === part.part);
          const slots = part.slots.filter((slot) => !shownBefore.has(slot));
          slots.forEach((slot) => shownBefore.add(slot));
          if (its.length === 0 && part.slots.length === 0) return null;
          const ofChoices = new Set(
            (data?.measures ?? []).flatMap(({ part: of, symbol }) =>
              of && its.some((choice) => choice.choice === of) ? [symbol] : [],
            ),
          );
          return (
            <PartCard key={part.part} part={part} slots={slots} but={ofChoices}>
              <ChoiceList
                choices={its}
                measuresOf={(choice) =>
                  (data?.measures ?? [])
                    .filter((measure) => measure.part === choice)
                    .map(({ symbol }) => <PartMeasure key={symbol} symbol={symbol} />)
                }
                onChoose={(choice, option) => {
                  if (!choose.isPending) choose.mutate({ ...chosen, [choice]: option });
                }}
              />
            </PartCard>
          );
        })}
      </div>
      {document.begun && (
        <p className="mt-2 text-[13px] text-soft">
          Pieces, trims and steps follow these choices. What you changed by hand stays as you left it.
        </p>
      )}
    </>
  );
}

/** A part of the bag: its drawing, its pieces and trims, its cloth, its measures; its choices are the children. */
function PartCard({
  part,
  slots,
  but,
  children,
}: {
  part: Part;
  /** What it is made of that no part before it shows. */
  slots: string[];
  /** The measures that stand with a choice. */
  but: Set<string>;
  children: React.ReactNode;
}) {
  const { document } = useEditing();
  const symbols = part.symbols.filter(
    (symbol) =>
      !but.has(symbol) &&
      // The seams that everything shares stand among the measurements.
      (part.part !== 'BODY' ||
        document.measurements.some((m) => m.symbol === symbol && m.kind === 'FINISHED')),
  );
  return (
    <section
      aria-label={part.words}
      className="grid gap-x-5 gap-y-2 py-4 first:pt-1 md:grid-cols-[150px_1fr]"
    >
      <div>
        <h3 className="mb-2 font-semibold">{part.words}</h3>
        <PartDrawing part={part} />
      </div>
      <div className="min-w-0 space-y-2.5">
        <Belongings part={part} />
        {(slots.length > 0 || symbols.length > 0) && (
          <div className="grid gap-x-3 gap-y-2 sm:grid-cols-3">
            {symbols.map((symbol) => (
              <PartMeasure key={symbol} symbol={symbol} />
            ))}
            {slots.map((key) => (
              <SlotMaterial key={key} slotKey={key} />
            ))}
          </div>
        )}
        {children}
      </div>
    </section>
  );
}

/** The finished bag with this part in its colours; a part that isn't seen from outside, by its first piece. */
function PartDrawing({ part }: { part: Part }) {
  const { shown } = useEditing();
  const picture = shown?.finished?.picture;
  if (picture?.parts.some(({ of }) => of === part.part)) {
    return <BagPicture picture={picture} {...ROOM} lit={part.part} />;
  }
  const piece = shown?.pieces.find(({ letter }) => part.letters.includes(letter));
  if (!piece) return null;
  const scale = Math.min(ROOM.across / piece.drawing.width, ROOM.up / piece.drawing.height);
  return <PieceShape piece={piece} scale={scale} />;
}

/** What is cut for it, with its sizes; each opens its row in the tables. */
function Belongings({ part }: { part: Part }) {
  const { document, shown, goTo } = useEditing();
  const units = useUnits();
  const label = (slot: string) => document.slots.find(({ key }) => key === slot)?.label ?? '';
  const rows = [
    ...(shown?.pieces ?? []).map((piece) => ({
      ...piece,
      place: 'pieces',
      size: sides(units.own(piece.width.value), units.own(piece.height.value)),
    })),
    ...(shown?.trims ?? []).map((trim) => ({ ...trim, place: 'trims', size: units.own(trim.length.value) })),
  ].filter(({ letter }) => part.letters.includes(letter));
  if (rows.length === 0) return null;
  return (
    <ul>
      {rows.map((row) => (
        <li key={row.letter} className="flex flex-wrap items-baseline gap-x-3">
          <button
            type="button"
            className="min-h-6 text-left font-semibold text-woad hover:underline"
            onClick={() => goTo(`${row.place}.${row.letter}`)}
          >
            {row.letter} · {row.name}
          </button>
          <span className="tabular-nums">
            {row.size}
            {row.count > 1 && ` × ${row.count}`}
          </span>
          <span className="text-[13px] text-soft">{label(row.slot)}</span>
        </li>
      ))}
    </ul>
  );
}
