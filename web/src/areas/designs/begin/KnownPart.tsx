import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { Problem } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { useWorked } from '../Worked';
import { useUnits } from '../../../ui/units';
import { onPaper, type Brief, type Draft } from './brief';

const KNOWN: Record<Brief['known'], { words: string; sentence: string }> = {
  FINISHED: {
    words: 'How large it shall be',
    sentence: 'Type what it shall measure when it is finished. What to cut follows.',
  },
  CUT: {
    words: 'What the paper says',
    sentence: 'Type what a paper pattern says to cut. That stays as it stands; what it will measure follows.',
  },
  ON_THE_TABLE: {
    words: 'A bag on the table',
    sentence:
      'Measure the finished bag from outside. The seams are guessed; change them under “More measures”.',
  },
};

/** What is known of the bag, and its measures. */
export function KnownPart({
  brief,
  draft,
  problem,
  onChange,
}: {
  brief: Brief;
  draft: Draft;
  problem: unknown;
  onChange: (next: Partial<Brief>) => void;
}) {
  const [more, setMore] = useState(false);
  const asked = draft.measures.filter((measure) => measure.asked);
  const others = draft.measures.filter((measure) => !measure.asked && !measure.part);
  const field = (measure: Schemas['MeasureView']) => (
    <MeasureField
      key={measure.symbol}
      measure={measure}
      typed={brief.measures[measure.symbol]}
      size={draft.sheet.sizes[0]}
      onType={(value) => onChange({ measures: { ...brief.measures, [measure.symbol]: value } })}
    />
  );
  return (
    <section className="sheet p-4" aria-label="What do you know?">
      <h2>What do you know?</h2>
      <div role="radiogroup" aria-label="What do you know?" className="mt-2 flex flex-wrap gap-1.5">
        {(Object.keys(KNOWN) as Brief['known'][]).map((known) => (
          <label
            key={known}
            className={`flex min-h-11 cursor-pointer items-center rounded border px-3 font-semibold has-focus-visible:outline-2 has-focus-visible:outline-woad ${
              brief.known === known
                ? 'border-2 border-woad bg-woad-tint'
                : 'border-line-strong bg-white hover:bg-woad-tint'
            }`}
          >
            <input
              type="radio"
              className="sr-only"
              name="known"
              checked={brief.known === known}
              onChange={() => onChange({ known })}
            />
            {KNOWN[known].words}
          </label>
        ))}
      </div>
      <p className="mt-2 text-soft">{KNOWN[brief.known].sentence}</p>
      <div className="mt-3 grid gap-3 sm:grid-cols-3">{asked.map(field)}</div>
      {brief.known === 'CUT' && (
        <PaperTable brief={brief} draft={draft} problem={problem} onChange={onChange} />
      )}
      {others.length > 0 && (
        <>
          <Button
            type="button"
            look="quiet"
            className="mt-3"
            aria-expanded={more}
            onClick={() => setMore(!more)}
          >
            {more ? 'Fewer measures' : `More measures (${others.length})`}
          </Button>
          {more && <div className="mt-3 grid gap-3 sm:grid-cols-3">{others.map(field)}</div>}
        </>
      )}
    </section>
  );
}

/** A measurement: what was typed, or else what is usual, with what it comes to where it is worked out; read back in both units. */
export function MeasureField({
  measure,
  typed,
  size,
  onType,
}: {
  measure: Schemas['MeasureView'];
  typed: string | undefined;
  size: Schemas['SizeSheet'] | undefined;
  onType: (value: string) => void;
}) {
  const units = useUnits();
  const read = size?.measurements.find(({ symbol }) => symbol === measure.symbol);
  const finding = size?.findings.find(
    ({ place, severity }) => place === `measurements.${measure.symbol}` && severity === 'REFUSED',
  );
  const worked = useWorked(measure.label, typed ?? measure.value, !!finding, size);
  return (
    <TextField
      label={measure.label}
      value={worked.text}
      maxLength={200}
      error={finding?.sentence}
      hint={
        read?.value ? (
          <>
            {worked.isValue ? '' : `${units.own(read.value)} · `}
            {units.other(read.value)} {worked.how}
          </>
        ) : (
          read?.text
        )
      }
      onFocus={(event) => event.target.select()}
      onBlur={worked.onLeave}
      onChange={(event) => {
        worked.onType();
        onType(event.target.value);
      }}
    />
  );
}

/** What the paper says of the other pieces; what is left empty is worked out. */
function PaperTable({
  brief,
  draft,
  problem,
  onChange,
}: {
  brief: Brief;
  draft: Draft;
  problem: unknown;
  onChange: (next: Partial<Brief>) => void;
}) {
  const units = useUnits();
  const size = draft.sheet.sizes[0];
  const wrong = problem instanceof Problem ? problem : undefined;
  const asked = new Set(draft.measures.filter((m) => m.asked).map((m) => m.symbol));
  const main = asked.has('cut_width') || asked.has('cut_base') ? draft.document.form.outer : '';
  const rows = [
    ...(size?.pieces ?? [])
      .filter(({ letter }) => letter !== main)
      .map((piece) => ({
        letter: piece.letter,
        name: piece.name,
        wide: units.own(piece.width.value),
        high: units.own(piece.height.value),
      })),
    ...(size?.trims ?? []).map((trim) => ({
      letter: trim.letter,
      name: trim.name,
      wide: '',
      high: units.own(trim.length.value),
    })),
  ];
  const said = (letter: string) => brief.paper.find((row) => row.letter === letter);
  const input = (letter: string, name: string, side: 'width' | 'height', comes: string) => {
    const error = wrong?.on(`paper.${letter}.${side}`);
    return (
      <>
        <input
          className="field"
          aria-label={`${name}: ${side} on the paper`}
          aria-invalid={!!error}
          maxLength={100}
          placeholder={comes}
          value={said(letter)?.[side] ?? ''}
          onChange={(event) =>
            onChange({ paper: onPaper(brief.paper, letter, { [side]: event.target.value }) })
          }
        />
        {error && <div className="text-[13px] text-madder">{error}</div>}
      </>
    );
  };
  return (
    <details className="mt-3">
      <summary className="cursor-pointer font-semibold text-woad">
        What does it say of the other pieces?
      </summary>
      <p className="mt-1 text-[14px] text-soft">
        Leave empty what it doesn’t say: it is cut as worked out, which stands there in grey.
      </p>
      <table className="mt-1 w-full">
        <thead className="text-left text-[13px] text-soft">
          <tr>
            <th>Piece</th>
            <th>Width</th>
            <th>Height or length</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.letter} className="align-top">
              <td className="py-1 pr-2">
                <b>{row.letter}</b> {row.name}
              </td>
              <td className="py-1 pr-2">{row.wide && input(row.letter, row.name, 'width', row.wide)}</td>
              <td className="py-1">{input(row.letter, row.name, 'height', row.high)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
