import { useMutation } from '@tanstack/react-query';
import { useId, useState, type PointerEvent } from 'react';
import { api, Problem, type Schemas } from '../../api/client';
import { usePrint } from '../../api/queries';
import { Print } from '../../ui/BagPicture';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';

type PrintView = Schemas['PrintView'];
type MotifForm = Schemas['MotifForm'];
type Point = { x: number; y: number };

/** A repeat that is flatter is drawn higher than it is, so that it can be pointed into. */
const FLATTEST = 2.2;

/** A part of the print while it is being marked: what is typed, and where it was pointed at. */
type Marked = MotifForm & { at?: Point };

/** What may be changed of a print. */
interface Draft {
  repeatAcross: string;
  frame: Schemas['Frame'];
  motifs: Marked[];
}

/** The parts of a cloth's print that pieces may have to show. */
export function PrintPart({ materialId }: { materialId: number }) {
  const { data: print, error } = usePrint(materialId);
  if (error) return <ProblemNotice problem={error} />;
  return print ? <Marks materialId={materialId} print={print} /> : null;
}

function Marks({ materialId, print }: { materialId: number; print: PrintView }) {
  const [base, setBase] = useState(print);
  const [draft, setDraft] = useState(() => draftOf(print));
  const [which, setWhich] = useState(0);
  const [corner, setCorner] = useState<Point | 'first'>();
  const begin = (stored: PrintView) => {
    setBase(stored);
    setDraft(draftOf(stored));
  };
  const isElsewhere = marks(draftOf(print)) !== marks(draftOf(base));
  if (isElsewhere && marks(draft) === marks(draftOf(base))) begin(print);
  const { repeatAcross, frame, motifs } = draft;
  const path = `/api/materials/${materialId}/print`;
  const change = (next: Partial<Marked>, index: number) =>
    setDraft((now) => ({
      ...now,
      motifs: now.motifs.map((one, i) => (i === index ? { ...one, ...next } : one)),
    }));
  const place = useMutation({
    mutationFn: (at: Point) =>
      api.post<Schemas['PlaceInRepeat']>(`${path}/place`, { repeatAcross, frame, ...at }),
    // What was pointed at later, or typed meanwhile, stays.
    onSuccess: (told, at) =>
      setDraft((now) => ({
        ...now,
        motifs: now.motifs.map((one) =>
          one.at === at ? { ...one, across: told.across, down: told.down } : one,
        ),
      })),
  });
  const noPlace = place.error instanceof Problem ? place.error : undefined;
  const save = useSend(
    (version: number) =>
      api.put<PrintView>(path, {
        version,
        repeatAcross,
        frame,
        motifs: motifs.map(({ name, across, down }) => ({ name, across, down })),
      }),
    begin,
  );
  const point = (at: Point) => {
    if (corner === 'first') {
      setCorner(at);
    } else if (corner) {
      setDraft({ ...draft, frame: { left: corner.x, top: corner.y, right: at.x, bottom: at.y } });
      setCorner(undefined);
    } else if (motifs[which]) {
      change({ at }, which);
      place.mutate(at);
    }
  };
  return (
    <section className="sheet p-4" aria-label="Parts of its print">
      <h2>Parts of its print</h2>
      <p className="text-soft">
        A piece that has to show one of them, like the animal on a pocket, asks for it by its name: a mark on
        the piece, in the design. The layout then puts it where the print has it.
      </p>
      {print.repeat === undefined ? (
        <p className="mt-2">
          Say first after which height the print comes again: “Change what it is”, more about this cloth.
        </p>
      ) : (
        <form
          className="mt-3 grid gap-4 md:grid-cols-[minmax(0,260px)_1fr]"
          onSubmit={(event) => {
            event.preventDefault();
            const isTold = !isElsewhere || save.problem?.isClash;
            if (!save.isPending) save.mutate(isTold ? print.version : base.version);
          }}
        >
          <div>
            <Repeat print={print} frame={frame} motifs={motifs} which={which} onPoint={point} />
            <p className="mt-1 text-[13px] text-soft" role="status">
              {corner === 'first'
                ? 'Point at the upper left corner of one repeat.'
                : corner
                  ? 'Now at its lower right corner.'
                  : motifs.length === 0
                    ? `One repeat, ${print.repeat} high.`
                    : `Point at the middle of “${motifs[which]?.name || 'the new one'}”, or type where it is.`}
            </p>
            {print.photo && (
              <Button look="quiet" className="mt-1" onClick={() => setCorner(corner ? undefined : 'first')}>
                {corner ? 'Leave it as it is' : 'Show where one repeat is on the photo'}
              </Button>
            )}
            <ProblemNotice problem={noPlace} />
            {save.problem?.on('frame') && (
              <p className="text-[13px] text-madder">{save.problem.on('frame')}</p>
            )}
          </div>
          <div className="space-y-3">
            <TextField
              label="Across, it comes again after"
              hint={`Empty: once across the cloth. Along the cloth: ${print.repeat}.`}
              value={repeatAcross}
              onChange={(event) => setDraft({ ...draft, repeatAcross: event.target.value })}
              error={save.problem?.on('repeatAcross') ?? noPlace?.on('repeatAcross')}
            />
            {motifs.map((one, i) => (
              <fieldset
                key={i}
                className={`grid grid-cols-[1fr_1fr_1fr_auto] items-start gap-2 border-l-4 pl-2 ${
                  i === which ? 'border-weld' : 'border-line'
                }`}
                onFocus={() => setWhich(i)}
              >
                <legend className="sr-only">{one.name || `Part ${i + 1}`}</legend>
                <TextField
                  label="Its name"
                  maxLength={40}
                  value={one.name}
                  onChange={(event) => change({ name: event.target.value }, i)}
                  error={save.problem?.on(`motifs.${i}.name`)}
                />
                <TextField
                  label="From the left"
                  hint={one.across.trim() === '' ? 'Empty: anywhere across.' : undefined}
                  value={one.across}
                  onChange={(event) => change({ across: event.target.value, at: undefined }, i)}
                  error={save.problem?.on(`motifs.${i}.across`)}
                />
                <TextField
                  label="From the top"
                  value={one.down}
                  onChange={(event) => change({ down: event.target.value, at: undefined }, i)}
                  error={save.problem?.on(`motifs.${i}.down`)}
                />
                <button
                  type="button"
                  className="mt-5 size-11 text-[20px] text-soft"
                  aria-label={`Remove ${one.name || `part ${i + 1}`}`}
                  onClick={() => {
                    setDraft({ ...draft, motifs: motifs.filter((_, other) => other !== i) });
                    setWhich(0);
                  }}
                >
                  ×
                </button>
              </fieldset>
            ))}
            <div className="flex flex-wrap items-center gap-2.5">
              <Button
                look="quiet"
                disabled={motifs.length >= 12}
                onClick={() => {
                  setDraft({ ...draft, motifs: [...motifs, { name: '', across: '', down: '' }] });
                  setWhich(motifs.length);
                }}
              >
                Add a part
              </Button>
              <FormEnd problem={save.problem} isPending={save.isPending} />
            </div>
          </div>
        </form>
      )}
    </section>
  );
}

function draftOf(print: PrintView): Draft {
  return {
    repeatAcross: print.repeatAcross,
    frame: print.frame,
    motifs: print.motifs.map((one) => typed(one, print)),
  };
}

/** What is marked, without where it was pointed at. */
function marks({ repeatAcross, frame, motifs }: Draft): string {
  return JSON.stringify([repeatAcross, frame, motifs.map(({ name, across, down }) => [name, across, down])]);
}

/** What is stored, with where it lies on the photo. */
function typed(motif: Schemas['MotifView'], print: PrintView): Marked {
  const { frame } = print;
  return {
    name: motif.name,
    across: motif.across,
    down: motif.down,
    at: {
      x: frame.left + (motif.acrossShare ?? 0.5) * (frame.right - frame.left),
      y: frame.top + motif.downShare * (frame.bottom - frame.top),
    },
  };
}

/** The photo with one repeat framed, or one repeat as the cloth is drawn; whoever points at it marks a place. */
function Repeat({
  print,
  frame,
  motifs,
  which,
  onPoint,
}: {
  print: PrintView;
  frame: Schemas['Frame'];
  motifs: Marked[];
  which: number;
  onPoint: (at: Point) => void;
}) {
  const pattern = useId();
  const at = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const within = (share: number) => Math.min(1, Math.max(0, share));
    onPoint({
      x: within((event.clientX - box.left) / box.width),
      y: within((event.clientY - box.top) / box.height),
    });
  };
  return (
    <div
      className="relative w-full cursor-crosshair touch-none overflow-hidden rounded border border-line-strong"
      onPointerDown={at}
      data-part="repeat"
    >
      {print.photo ? (
        <img
          src={print.photo}
          alt="The cloth, as it was photographed"
          className="block w-full"
          draggable={false}
        />
      ) : (
        <svg
          viewBox={`0 0 ${print.widthMm} ${print.heightMm}`}
          preserveAspectRatio="none"
          className="block w-full"
          style={{ aspectRatio: Math.min(print.widthMm / print.heightMm, FLATTEST) }}
          role="img"
          aria-label="One repeat of the print, as it is drawn"
        >
          <Print
            id={pattern}
            colour={print.colour}
            cloth={{ slot: '', colour: print.colour, print: print.print, repeatMm: print.heightMm }}
            frame={[1, 0, 0, 1, 0, 0]}
            zoom={1}
          />
          <rect width={print.widthMm} height={print.heightMm} fill={`url(#${pattern})`} />
        </svg>
      )}
      {print.photo && (
        <div
          className="pointer-events-none absolute border-2 border-dashed border-white shadow-[0_0_0_1px_#14242d]"
          style={{
            left: `${frame.left * 100}%`,
            top: `${frame.top * 100}%`,
            width: `${(frame.right - frame.left) * 100}%`,
            height: `${(frame.bottom - frame.top) * 100}%`,
          }}
        />
      )}
      {motifs.map(
        (one, i) =>
          one.at && (
            <span
              key={i}
              className={`pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-2 px-1.5 text-[13px] font-bold whitespace-nowrap ${
                i === which ? 'border-ink bg-yellow text-ink' : 'border-ink bg-white text-ink'
              }`}
              style={{ left: `${one.at.x * 100}%`, top: `${one.at.y * 100}%` }}
            >
              {one.name || i + 1}
            </span>
          ),
      )}
    </div>
  );
}
