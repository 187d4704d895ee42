import { Link } from 'react-router';
import { PieceShape } from '../../../ui/PieceDrawing';
import { Tag } from '../../../ui/Tag';
import { useUnits } from '../../../ui/units';
import type { Part, Turn } from './progress';
import { Stitches } from './Stitches';

/** For which lines and colours an operation is done, and how far; what is counted on is chosen. */
export function Parts({
  turn,
  part,
  onChoose,
}: {
  turn: Turn;
  part: Part | undefined;
  onChoose: (line: number) => void;
}) {
  return (
    <ul className="mt-4 space-y-3">
      {turn.parts.map((one) => (
        <li key={one.line}>
          <button
            type="button"
            aria-pressed={one === part}
            onClick={(event) => {
              if (event.detail > 0) event.currentTarget.blur();
              onChoose(one.line);
            }}
            className={`block min-h-14 w-full rounded px-3 py-2 text-left ${one === part ? 'bg-woad-tint' : 'hover:bg-woad-tint'}`}
          >
            <span className="flex items-baseline justify-between gap-3">
              <span className="text-lg">
                <span
                  aria-hidden
                  className="mr-2 inline-block size-4 rounded-full border border-line-strong align-[-2px]"
                  style={{ background: one.colour || undefined }}
                />
                {one.what}
                {one.cloth && <span className="text-soft"> · {one.cloth}</span>}
              </span>
              <span className="text-[26px] leading-none font-bold whitespace-nowrap">
                {one.done}{' '}
                <span className="text-base font-normal text-soft">
                  of {one.started}
                  {one.all > one.started && ` (${one.all} in all)`}
                </span>
              </span>
            </span>
            <Stitches done={one.done} all={one.started} />
          </button>
        </li>
      ))}
    </ul>
  );
}

/** What has to be put on; once it is on it stays where it stood, so that nothing below it moves. */
export function ChangeNow({ changes, done }: { changes: string[]; done: boolean }) {
  return (
    <div
      className={`mt-3 rounded border-2 px-4 py-3 text-[22px] ${done ? 'border-line text-soft' : 'border-woad-mid bg-woad-tint'}`}
    >
      <span className="text-base text-soft">{done ? 'On the machine' : 'Change now'}</span>
      <ul>
        {changes.map((one) => (
          <li key={one} className="font-bold">
            {one}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The pieces that go through, to one scale, with the edges that are sewn, the maker's own photo, and the seam's allowance. */
export function GoesThrough({ turn, photo }: { turn: Turn; photo: string | undefined }) {
  const units = useUnits();
  if (turn.pieces.length === 0 && turn.lies.length === 0 && !photo) return null;
  const tallest = Math.max(...turn.pieces.map(({ piece }) => piece.drawing.height));
  const wide = turn.pieces.reduce((sum, { piece }) => sum + piece.drawing.width, 0);
  const scale = Math.min(0.62, 150 / tallest, 560 / wide);
  return (
    <div className="mt-4 flex flex-wrap items-end gap-x-5 gap-y-2">
      {turn.pieces.map(({ piece, layers, along }) => (
        <figure key={piece.letter} className="text-center">
          <PieceShape piece={piece} scale={scale} lit={along} />
          <figcaption className="mt-1">
            {layers > 1 && <b>{layers} × </b>}
            {piece.name}
            {along.length > 0 && (
              <span className="block text-[13px] text-madder">
                {along.length === 4 ? 'round' : along.map((side) => side.toLowerCase()).join(', ')}
              </span>
            )}
          </figcaption>
        </figure>
      ))}
      {photo && (
        <a href={photo} target="_blank" rel="noreferrer" aria-label={`Photo of “${turn.name}”, large`}>
          <img src={photo} alt="" className="h-40 max-w-72 rounded border border-line object-cover" />
        </a>
      )}
      {turn.lies.length > 0 && <p className="pb-6 text-xl font-bold">{turn.lies.join(', ')}</p>}
      {turn.seam && (
        <p className="pb-6 text-lg">
          <span className="text-soft">seam</span> <b>{units.own(turn.seam)}</b>{' '}
          <span className="text-soft">{units.other(turn.seam)}</span>
        </p>
      )}
    </div>
  );
}

/** What the step's design says of it, and what its machine wants. */
export function Told({ turn }: { turn: Turn }) {
  return (
    <div className="mt-4 space-y-2 text-lg">
      {turn.check && (
        <p>
          <Tag look="care">Check</Tag> {turn.check}
        </p>
      )}
      {turn.caution && (
        <p>
          <Tag look="bad">Caution</Tag> {turn.caution}
        </p>
      )}
      {turn.note && (
        <p>
          <Tag look="plain">You noted</Tag> {turn.note}
        </p>
      )}
      {turn.upkeep.length > 0 && (
        <p>
          <Tag look="care">Upkeep</Tag> {turn.upkeep.join(' ')}{' '}
          <Link to="/logbook?tab=upkeep" className="font-semibold text-woad hover:underline">
            It is done
          </Link>
        </p>
      )}
    </div>
  );
}
