import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { ButtonLink, FileLink } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { useLast } from '../../ui/useLast';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { useUnits } from '../../ui/units';

type View = Schemas['TemplatesView'];

interface Asked {
  sizes?: number[];
  pieces?: string[];
  paper?: View['paper'];
  drawn: 'APART' | 'NESTED' | 'SHIFTED';
  /** Cards to place marks by, in the place of whole pieces. */
  placing?: boolean;
  /** The letters of two pieces that are joined at their marks. */
  join?: string[];
  /** The alternatives that are taken where the design leaves something open, by their choices. */
  picks?: Record<string, string>;
}

/** What is asked for, as it stands in an address. */
export function query(asked: Asked, rollWidth: string) {
  const params = new URLSearchParams();
  asked.sizes?.forEach((size) => params.append('sizes', String(size)));
  asked.pieces?.forEach((letter) => params.append('pieces', letter));
  if (asked.paper) params.set('paper', asked.paper);
  if (asked.paper === 'ROLL') params.set('rollWidth', rollWidth);
  if (asked.drawn !== 'APART') params.set('drawn', asked.drawn);
  if (asked.placing) params.set('placing', 'true');
  asked.join?.forEach((letter) => params.append('join', letter));
  Object.values(asked.picks ?? {}).forEach((key) => params.append('picks', key));
  return params.toString();
}

/** Templates of a design's pieces, true to size: which, on what paper, and how the pages lie. */
export default function TemplatesPage() {
  const { id } = useParams();
  const units = useUnits();
  const [asked, setAsked] = useState<Asked>({ drawn: 'APART' });
  const [rollWidth, setRollWidth] = useState('');
  const paper = asked.paper ?? (units.isInch ? 'LETTER' : 'A4');
  const words = query({ ...asked, paper }, useSettled(rollWidth, 300));
  const { data: drawn, error } = useQuery({
    queryKey: ['templates', id, words],
    queryFn: () => api.get<View>(`/api/designs/${id}/templates?${words}`),
    placeholderData: keepPreviousData,
    enabled: paper !== 'ROLL' || rollWidth.trim() !== '',
  });
  const data = useLast(drawn);
  useTitle(data ? `Templates of ${data.name}` : 'Templates');
  if (error && !data) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Drawing …</p>;
  const isWrong = Boolean(error) || (paper === 'ROLL' && rollWidth.trim() === '');
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>Templates of {data.name}</h1>
          <p className="text-soft">
            True to size: print at 100 %, and measure the test square before you cut.
          </p>
        </div>
        <ButtonLink look="quiet" to={`/designs/${id}`}>
          The design
        </ButtonLink>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[340px_1fr]">
        <div className="space-y-4">
          <Choices
            view={data}
            paper={paper}
            asked={asked}
            onAsk={setAsked}
            rollWidth={rollWidth}
            onRollWidth={setRollWidth}
          />
          <PatternPart view={data} paper={paper} picks={Object.values(asked.picks ?? {})} />
        </div>
        <section className="sheet p-4" aria-label="On paper">
          <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
            <h2>{error ? 'Nothing is drawn' : pagesInWords(data, units.own)}</h2>
            {!isWrong && (
              <div className="flex gap-2.5">
                <FileLink href={`/api/designs/${id}/templates.pdf?${words}`}>As PDF</FileLink>
                <FileLink href={`/api/designs/${id}/templates.svg?${words}`}>As SVG</FileLink>
              </div>
            )}
          </div>
          {error ? <ProblemNotice problem={error} /> : <PlaneDrawing view={data} />}
        </section>
      </div>
    </>
  );
}

/** The whole design on paper, for a helper or a kit. */
function PatternPart({ view, paper, picks }: { view: View; paper: View['paper']; picks: string[] }) {
  const [units, setUnits] = useState('12');
  const size = Math.max(0, view.sizes.indexOf(view.chosenSizes[0] ?? ''));
  const count = Number(units);
  const isWrong = !Number.isInteger(count) || count < 1 || count > 5000;
  const on =
    (paper === 'ROLL' ? '' : `&paper=${paper}`) +
    picks.map((key) => `&picks=${encodeURIComponent(key)}`).join('');
  return (
    <section className="sheet space-y-3 p-4" aria-label="Pattern sheet">
      <h2>Pattern sheet</h2>
      <p className="text-soft">
        All that a helper needs to sew the {view.sizes[size] || 'bag'}: materials, what is cut, the map of the
        templates, steps with drawings and checks.
      </p>
      <TextField
        label="Materials for 1, and for"
        inputMode="numeric"
        value={units}
        error={isWrong ? 'Type how many bags, from 1 to 5000.' : undefined}
        onChange={(event) => setUnits(event.target.value)}
      />
      {!isWrong && (
        <FileLink href={`/api/designs/${view.designId}/pattern-sheet.pdf?size=${size}&units=${count}${on}`}>
          Pattern sheet as PDF
        </FileLink>
      )}
    </section>
  );
}

function pagesInWords({ pages }: View, own: (length: Schemas['LengthView']) => string) {
  if (pages.needed) return `One sheet, ${own(pages.needed)} of the roll`;
  const count = pages.pages.length;
  return count === 1 ? 'One page' : `${count} pages, with a map of them`;
}

function Choices({
  view,
  paper,
  asked,
  onAsk,
  rollWidth,
  onRollWidth,
}: {
  view: View;
  paper: View['paper'];
  asked: Asked;
  onAsk: (asked: Asked) => void;
  rollWidth: string;
  onRollWidth: (width: string) => void;
}) {
  const units = useUnits();
  const sizes = view.sizes.flatMap((size, place) => (view.chosenSizes.includes(size) ? [place] : []));
  const chooseSize = (place: number, on: boolean) => {
    const now = view.sizes
      .map((_, i) => i)
      .filter((i) => (i === place ? on : (asked.sizes ?? sizes).includes(i)));
    if (now.length > 0) onAsk({ ...asked, sizes: now });
  };
  const choosePiece = (letter: string, on: boolean) => {
    const now = view.pieces
      .map((piece) => piece.letter)
      .filter((one) => (one === letter ? on : (asked.pieces ?? view.chosenPieces).includes(one)));
    if (now.length > 0) onAsk({ ...asked, pieces: now });
  };
  return (
    <section className="sheet space-y-4 p-4" aria-label="Which templates">
      <SelectField
        label="What is printed"
        value={asked.placing ? 'PLACING' : 'PIECES'}
        onChange={(event) =>
          onAsk({
            ...asked,
            pieces: undefined,
            join: undefined,
            placing: event.target.value === 'PLACING',
          })
        }
      >
        <option value="PIECES">whole pieces to cut by</option>
        <option value="PLACING">cards to place marks by</option>
      </SelectField>
      {view.choices.map((choice) => (
        <SelectField
          key={choice.key}
          label={choice.name}
          value={asked.picks?.[choice.key] ?? choice.usual}
          onChange={(event) =>
            onAsk({
              ...asked,
              pieces: undefined,
              join: undefined,
              picks: { ...asked.picks, [choice.key]: event.target.value },
            })
          }
        >
          {choice.alternatives.map((one) => (
            <option key={one.key} value={one.key}>
              {one.name}
              {one.key === choice.usual ? ' (usual)' : ''}
            </option>
          ))}
        </SelectField>
      ))}
      <fieldset>
        <legend className="font-semibold">Sizes</legend>
        {view.sizes.map((size, place) => (
          <label key={size} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={(asked.sizes ?? sizes).includes(place)}
              onChange={(event) => chooseSize(place, event.target.checked)}
            />
            {size}
          </label>
        ))}
        {(asked.sizes ?? sizes).length > 1 && !asked.placing && (
          <SelectField
            label="Several sizes of a piece"
            value={asked.drawn}
            onChange={(event) => onAsk({ ...asked, drawn: event.target.value as Asked['drawn'] })}
          >
            <option value="APART">beside one another</option>
            <option value="NESTED">over one another</option>
            <option value="SHIFTED">one template, moved by a noted amount</option>
          </SelectField>
        )}
        {view.notShifted.length > 0 && (
          <p className="mt-2" role="status">
            {view.notShifted.join(', ')}: no one line serves all sizes, because they differ both ways or there
            is a mark or a curve in the way. Each size has a template of its own.
          </p>
        )}
      </fieldset>
      {view.joins.length > 0 && !asked.placing && (
        <SelectField
          label="Join two at their marks"
          value={asked.join?.join('+') ?? ''}
          onChange={(event) =>
            onAsk({ ...asked, join: event.target.value ? event.target.value.split('+') : undefined })
          }
        >
          <option value="">no, each piece by itself</option>
          {view.joins.map((join) => (
            <option key={`${join.one}+${join.other}`} value={`${join.one}+${join.other}`}>
              {join.one} and {join.other}, at {join.marks.map((mark) => `“${mark}”`).join(', ')}
            </option>
          ))}
        </SelectField>
      )}
      <fieldset disabled={Boolean(asked.join)}>
        <legend className="font-semibold">Pieces</legend>
        {view.pieces.map((piece) => (
          <label key={piece.letter} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={(asked.pieces ?? view.chosenPieces).includes(piece.letter)}
              onChange={(event) => choosePiece(piece.letter, event.target.checked)}
            />
            <span>
              <b>{piece.letter}</b> {piece.name}
              <span className="block text-[13px] text-soft">
                {piece.cloth}
                {piece.plain && ', a plain rectangle: a ruler will do'}
              </span>
            </span>
          </label>
        ))}
      </fieldset>
      <SelectField
        label="Paper"
        value={paper}
        onChange={(event) => onAsk({ ...asked, paper: event.target.value as View['paper'] })}
      >
        <option value="A4">A4</option>
        <option value="LETTER">Letter</option>
        <option value="ROLL">from a copy shop’s roll</option>
      </SelectField>
      {paper === 'ROLL' && (
        <TextField
          label="Width of the roll"
          value={rollWidth}
          placeholder={units.isInch ? '36 in' : '91 cm'}
          maxLength={40}
          onChange={(event) => onRollWidth(event.target.value)}
        />
      )}
    </section>
  );
}

/** All templates where they lie, with the pages that they are printed on. */
function PlaneDrawing({ view: { pages, templates } }: { view: View }) {
  const right = Math.max(pages.width, ...pages.pages.map((page) => page.right));
  const bottom = Math.max(pages.height, ...pages.pages.map((page) => page.bottom));
  const unit = Math.max(right, bottom) / 500;
  return (
    <svg
      viewBox={`${-unit} ${-unit} ${right + 2 * unit} ${bottom + 2 * unit}`}
      className="block max-h-[70vh] w-full"
      role="img"
      aria-label={`${templates.length} templates on ${pages.pages.length} pages`}
    >
      {pages.pages.map((page, i) => (
        <g key={page.name}>
          <rect
            x={page.left}
            y={page.top}
            width={page.right - page.left}
            height={page.bottom - page.top}
            fill={i % 2 ? 'var(--color-tape)' : '#fff'}
            fillOpacity=".7"
            stroke="var(--color-tape-edge)"
            strokeWidth={unit}
          />
          {pages.pages.length > 1 && (
            <text
              x={page.left + 4 * unit}
              y={page.bottom - 5 * unit}
              fontSize={13 * unit}
              fill="var(--color-soft)"
            >
              {page.name}
            </text>
          )}
        </g>
      ))}
      {templates.map((template, i) => (
        <g key={i}>
          <path d={template.marked} fill="none" stroke="var(--color-soft)" strokeWidth={unit * 0.7} />
          <path
            d={template.cut}
            fill="var(--color-woad-mid)"
            fillOpacity=".28"
            stroke="var(--color-ink)"
            strokeWidth={unit * 1.4}
          />
          <text
            x={template.left + template.width / 2}
            y={template.top + template.height / 2 + 5 * unit}
            fontSize={Math.min(15 * unit, (1.7 * template.width) / template.name.length)}
            textAnchor="middle"
            fontWeight="600"
          >
            {template.name}
          </text>
        </g>
      ))}
    </svg>
  );
}
