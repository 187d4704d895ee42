import { useState } from 'react';
import { api } from '../../api/client';
import { FinishedBag } from '../../ui/BagPicture';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { NameField } from '../../ui/NameField';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { PieceDrawings } from '../../ui/PieceDrawing';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { moved, useEditing, useRename, without, type Document } from './editing';
import { RowButton } from './fields';
import { NestedSizes } from './NestedSizes';

/** So many pieces are drawn in a window of their own, so that the parts below stay in sight. */
const MANY = 8;

/** All pieces of a size to one scale, and the finished bag. */
export function DesignDrawing({
  size,
  onSize,
  onOpen,
}: {
  size: string;
  onSize: (size: string) => void;
  onOpen: (letter: string) => void;
}) {
  const { document, sheet, shown } = useEditing();
  const units = useUnits();
  const [copying, setCopying] = useState(false);
  const [arranging, setArranging] = useState(false);
  const [nested, setNested] = useState(false);
  const several = sheet.sizes.length > 1;
  return (
    <section className="sheet p-3" aria-label="Pieces">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-3">
        <div className="flex items-center gap-1">
          <div
            role="group"
            aria-label="Size"
            className="flex overflow-hidden rounded border border-line-strong"
          >
            {document.sizes.map((name, i) => (
              <button
                key={i}
                type="button"
                aria-pressed={name === size}
                onClick={() => onSize(name)}
                className="min-h-10 border-line px-4 not-first:border-l aria-pressed:bg-woad-tint aria-pressed:font-bold aria-pressed:text-woad"
              >
                {name}
              </button>
            ))}
          </div>
          <button
            type="button"
            className="min-h-10 px-2 font-semibold text-woad hover:underline"
            onClick={() => setCopying(true)}
          >
            + size
          </button>
          <button
            type="button"
            className="min-h-10 px-2 font-semibold text-woad hover:underline"
            onClick={() => setArranging(true)}
          >
            Sizes
          </button>
          {several && (
            <button
              type="button"
              aria-pressed={nested}
              className="min-h-10 px-2 font-semibold text-woad hover:underline"
              onClick={() => setNested(!nested)}
            >
              {nested ? 'One size' : 'All sizes'}
            </button>
          )}
        </div>
        <div className="text-right text-[13.5px] text-soft">
          {shown?.trims.slice(0, 3).map((trim) => (
            <span key={trim.letter} className="ml-3 inline-block">
              {trim.name}
              {trim.count > 1 && ` × ${trim.count}`}{' '}
              <WorkedFigure label={trim.name} working={trim.length.working} className="text-ink">
                {units.own(trim.length.value)}
              </WorkedFigure>{' '}
              · {units.other(trim.length.value)}
            </span>
          ))}
          {shown?.corner && (
            <span className="block">
              corners {shown.corner.words}:{' '}
              <WorkedFigure
                label="Corner, from the side"
                working={shown.corner.fromSide.working}
                className="text-ink"
              >
                {units.own(shown.corner.fromSide.value)}
              </WorkedFigure>
              {!shown.corner.square && (
                <>
                  {' by '}
                  <WorkedFigure
                    label="Corner, from the base"
                    working={shown.corner.fromBase.working}
                    className="text-ink"
                  >
                    {units.own(shown.corner.fromBase.value)}
                  </WorkedFigure>
                </>
              )}
            </span>
          )}
        </div>
      </div>
      {shown && shown.pieces.length > 0 ? (
        <div className="grid gap-4 lg:grid-cols-[1fr_244px]">
          <div
            {...(shown.pieces.length > MANY && { tabIndex: 0, role: 'group', 'aria-label': 'Pieces' })}
            className={shown.pieces.length > MANY ? 'max-h-[250px] overflow-y-auto' : ''}
          >
            {nested && several ? (
              <NestedSizes sizes={sheet.sizes} width={560} height={200} />
            ) : (
              <PieceDrawings
                pieces={shown.pieces}
                width={572}
                height={shown.pieces.length > 5 ? 300 : 214}
                onOpen={onOpen}
              />
            )}
          </div>
          <div className="border-line lg:border-l lg:pl-4" aria-label="Finished size" role="group">
            {shown.finished ? (
              <FinishedBag finished={shown.finished} />
            ) : (
              <p className="text-soft">There is no finished size yet.</p>
            )}
          </div>
        </div>
      ) : (
        <p className="py-10 text-center text-soft">The pieces are drawn once the measurements can be read.</p>
      )}
      {arranging && <SizesPanel onClose={() => setArranging(false)} onSize={onSize} />}
      {copying && <SizePanel size={size} onClose={() => setCopying(false)} onSize={onSize} />}
    </section>
  );
}

/** The sizes by their names: called otherwise, put in another order, taken out. */
function SizesPanel({ onClose, onSize }: { onClose: () => void; onSize: (size: string) => void }) {
  const { document, change } = useEditing();
  const rename = useRename();
  const all = document.sizes.map((_, i) => i);
  const arrange = useSend(
    (order: number[]) => api.post<Document>('/api/designs/arranged', { document, order }),
    (next) => change(next),
  );
  return (
    <Panel title="Sizes" open onOpenChange={(open) => !open && onClose()}>
      <ul className="space-y-1">
        {document.sizes.map((size, i) => (
          <li key={document.sizeKeys?.[i] ?? i} className="flex items-start gap-1">
            <div className="grow">
              <NameField
                label={`Name of the size ${size}`}
                hideLabel
                maxLength={60}
                value={size}
                onName={async (name) => {
                  const refused = await rename('SIZE', size, name);
                  if (!refused) onSize(name);
                  return refused;
                }}
              />
            </div>
            <RowButton
              label={`Move ${size} up`}
              disabled={i === 0 || arrange.isPending}
              onPress={() => arrange.mutate(moved(all, i, -1))}
            >
              ↑
            </RowButton>
            <RowButton
              label={`Remove ${size}`}
              disabled={document.sizes.length === 1 || arrange.isPending}
              onPress={() => arrange.mutate(without(all, i))}
            >
              ×
            </RowButton>
          </li>
        ))}
      </ul>
      <p className="mt-3 text-soft">
        Batches that are planned keep their size, whatever it is called. One whose size is taken out asks for
        another.
      </p>
      <ProblemNotice problem={arrange.problem} />
    </Panel>
  );
}

/** A size copied under a new name, with some measurements changed in one go. */
function SizePanel({
  size,
  onClose,
  onSize,
}: {
  size: string;
  onClose: () => void;
  onSize: (size: string) => void;
}) {
  const { document, change } = useEditing();
  const [from, setFrom] = useState(Math.max(0, document.sizes.indexOf(size)));
  const [name, setName] = useState('');
  const [changes, setChanges] = useState<Record<string, string>>({});
  const send = useSend(
    () =>
      api.post<Document>('/api/designs/with-size', {
        document,
        copyOf: from,
        name,
        changes: Object.entries(changes).map(([symbol, text]) => ({ symbol, change: text })),
      }),
    (next) => {
      change(next);
      onSize(name.trim());
      onClose();
    },
  );
  return (
    <Panel title="Another size" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Name of the new size"
            hint="Several with commas: each is copied from the one before it, by the same rule."
            value={name}
            error={send.problem?.on('name')}
            onChange={(event) => setName(event.target.value)}
          />
          <SelectField
            label="Copied from"
            value={from}
            onChange={(event) => setFrom(Number(event.target.value))}
          >
            {document.sizes.map((s, i) => (
              <option key={i} value={i}>
                {s}
              </option>
            ))}
          </SelectField>
        </div>
        <p className="text-soft">What is larger or smaller, like + 2 cm or - 1/2 in; the rest follows.</p>
        <div className="grid grid-cols-2 gap-3">
          {document.measurements
            .filter((m) => m.kind === 'FINISHED')
            .map((m) => (
              <TextField
                key={m.symbol}
                label={m.label}
                placeholder="as it is"
                value={changes[m.symbol] ?? ''}
                error={send.problem?.on(`changes.${m.symbol}`)}
                onChange={(event) => setChanges({ ...changes, [m.symbol]: event.target.value })}
              />
            ))}
        </div>
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Add the size
        </Button>
      </form>
    </Panel>
  );
}
