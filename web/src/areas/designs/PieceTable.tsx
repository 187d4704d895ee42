import type { Dispatch, SetStateAction } from 'react';
import type { Schemas } from '../../api/client';
import { Panel } from '../../ui/Panel';
import { PieceOnCloth } from '../../ui/PieceOnCloth';
import { SelectField, TextField } from '../../ui/Field';
import { NameField } from '../../ui/NameField';
import { Notes } from '../../ui/Notes';
import { sides, useUnits } from '../../ui/units';
import { copied, freeLetter, moved, replaced, slotFor, useEditing, useRename, without } from './editing';
import {
  Choice,
  CopyMark,
  FormulaField,
  LetterChoice,
  PartHeading,
  RowButton,
  SlotChoice,
  Tick,
} from './fields';
import { MarkList } from './MarkList';
import { PaperSays } from './PaperSays';
import { ShapeList } from './ShapeList';
import { workedOut } from './Worked';
import { FOLDS, ROLES } from './words';

type Piece = Schemas['PieceRow'];

const NEW: Omit<Piece, 'letter' | 'slot' | 'width' | 'height'> = {
  name: 'New piece',
  role: 'OUTER',
  quantity: '1',
  layers: 1,
  shapes: [],
  edges: { top: '', right: '', bottom: '', left: '' },
  directional: false,
  fold: 'NONE',
  boxed: false,
  marks: [],
};

/** The pieces with their sizes; a piece opens to all that can be said about it. */
export function PieceTable({
  opened,
  onOpen,
}: {
  opened?: string;
  onOpen: Dispatch<SetStateAction<string | undefined>>;
}) {
  const { document, shown, change } = useEditing();
  const units = useUnits();
  const rename = useRename();
  const set = (index: number, next: Partial<Piece>) =>
    change({ pieces: replaced(document.pieces, index, next) });
  const cut = (letter: string) => shown?.pieces.find((piece) => piece.letter === letter);
  const openedAt = document.pieces.findIndex((piece) => piece.letter === opened);
  return (
    <>
      <PartHeading
        title="Pieces"
        add="Add a piece"
        onAdd={() => {
          const letter = freeLetter(document);
          const { slot, slots } = slotFor(document, ['CLOTH'], 'Outer cloth');
          change({
            slots,
            pieces: [...document.pieces, { ...NEW, letter, slot, width: units.begun, height: units.begun }],
          });
          onOpen(letter);
        }}
      />
      <table className="listing">
        <thead>
          <tr>
            <th>Piece</th>
            <th>Each</th>
            <th>Width, across the cloth</th>
            <th>Height, along the cloth</th>
            <th>
              <span className="sr-only">Order</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {document.pieces.map((piece, i) => (
            <tr key={i}>
              <td className="min-w-[150px] align-top">
                <button
                  type="button"
                  className="text-left font-semibold text-woad hover:underline"
                  onClick={() => onOpen(piece.letter)}
                >
                  {piece.letter} · {piece.name}
                </button>
                <span className="block text-[13px] text-soft">
                  {ROLES[piece.role]} ·{' '}
                  {document.slots.find((s) => s.key === piece.slot)?.label ?? piece.slot}
                </span>
              </td>
              <td className="w-[70px] align-top">
                <FormulaField
                  label={`How many, ${piece.name}`}
                  hideLabel
                  place={`pieces.${piece.letter}.quantity`}
                  value={piece.quantity}
                  onType={(quantity) => set(i, { quantity })}
                />
              </td>
              <td className="align-top">
                <FormulaField
                  label={`Width, ${piece.name}`}
                  hideLabel
                  place={`pieces.${piece.letter}.width`}
                  value={piece.width}
                  onType={(width) => set(i, { width })}
                  comesTo={cut(piece.letter)?.width.value}
                  hint={<Side letter={piece.letter} side="width" />}
                />
              </td>
              <td className="align-top">
                <FormulaField
                  label={`Height, ${piece.name}`}
                  hideLabel
                  place={`pieces.${piece.letter}.height`}
                  value={piece.height}
                  onType={(height) => set(i, { height })}
                  comesTo={cut(piece.letter)?.height.value}
                  hint={<Side letter={piece.letter} side="height" />}
                />
              </td>
              <td className="w-[114px] align-top whitespace-nowrap">
                <RowButton
                  label={`Move ${piece.name} up`}
                  disabled={i === 0}
                  onPress={() => change({ pieces: moved(document.pieces, i, -1) })}
                >
                  ↑
                </RowButton>
                <RowButton
                  label={`Copy ${piece.name}`}
                  onPress={() => {
                    const letter = freeLetter(document);
                    const copy = { ...piece, letter, name: `${piece.name}, copy` };
                    change({ pieces: copied(document.pieces, i, copy) });
                    onOpen(letter);
                  }}
                >
                  <CopyMark />
                </RowButton>
                <RowButton
                  label={`Remove ${piece.name}`}
                  onPress={() => change({ pieces: without(document.pieces, i) })}
                >
                  ×
                </RowButton>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {openedAt >= 0 && (
        <PiecePanel
          piece={document.pieces[openedAt] as Piece}
          onChange={(next) => set(openedAt, next)}
          onLetter={async (letter) => {
            const refused = await rename('LETTER', opened ?? '', letter);
            if (!refused) onOpen((now) => (now === opened ? letter : now));
            return refused;
          }}
          onClose={() => onOpen(undefined)}
        />
      )}
    </>
  );
}

/** What a side of a piece is cut to: in both units, or in the other one where the field itself shows it. */
function Side({ letter, side }: { letter: string; side: 'width' | 'height' }) {
  const { document, shown } = useEditing();
  const units = useUnits();
  const value = shown?.pieces.find((p) => p.letter === letter)?.[side].value;
  const typed = document.pieces.find((p) => p.letter === letter)?.[side] ?? '';
  return value ? (
    <>
      {workedOut(shown, typed) ? '' : `${units.own(value)} · `}
      {units.other(value)}
    </>
  ) : null;
}

function PiecePanel({
  piece,
  onChange,
  onLetter,
  onClose,
}: {
  piece: Piece;
  onChange: (next: Partial<Piece>) => void;
  onLetter: (letter: string) => Promise<string | undefined>;
  onClose: () => void;
}) {
  const { shown, sheet } = useEditing();
  const units = useUnits();
  const drawn = shown?.pieces.find((p) => p.letter === piece.letter);
  const place = `pieces.${piece.letter}`;
  return (
    <Panel title={`${piece.letter} · ${piece.name}`} open wide onOpenChange={(open) => !open && onClose()}>
      <div className="grid gap-5 md:grid-cols-[260px_1fr]">
        <div className="text-center">
          {drawn && (
            <PieceOnCloth
              piece={drawn}
              folds={(['top', 'right', 'bottom', 'left'] as const).filter(
                (edge) => piece.edges[edge].trim() === 'fold',
              )}
              cloth={sheet.cloths.find((one) => one.slot === piece.slot)}
              room={{ across: 260, up: 280 }}
            />
          )}
          {drawn && (
            <p className="mt-2">
              <b>{sides(units.own(drawn.width.value), units.own(drawn.height.value))}</b>
              <span className="block text-[13px] text-soft">
                {sides(units.other(drawn.width.value), units.other(drawn.height.value))}
              </span>
            </p>
          )}
          {drawn && (
            <div className="mt-2 text-left">
              <Notes notes={drawn.notes} />
            </div>
          )}
        </div>
        <div className="space-y-3">
          <PaperSays place={place} />
          <div className="grid grid-cols-[120px_1fr_1fr] gap-3">
            <NameField label="Letter" maxLength={4} value={piece.letter} onName={onLetter} />
            <TextField
              label="Name"
              maxLength={80}
              value={piece.name}
              onChange={(event) => onChange({ name: event.target.value })}
            />
            <Choice label="Role" value={piece.role} options={ROLES} onChoose={(role) => onChange({ role })} />
          </div>
          <div className="grid grid-cols-3 gap-3">
            <SlotChoice
              label="Cut from"
              value={piece.slot}
              kinds={['CLOTH']}
              onChoose={(slot) => onChange({ slot })}
            />
            <FormulaField
              label="How many each"
              place={`${place}.quantity`}
              value={piece.quantity}
              onType={(quantity) => onChange({ quantity })}
            />
            <SelectField
              label="Layers of each"
              value={piece.layers}
              onChange={(event) => onChange({ layers: Number(event.target.value) })}
            >
              {[1, 2, 3, 4, 6, 8].map((n) => (
                <option key={n}>{n}</option>
              ))}
            </SelectField>
          </div>
          <div className="grid grid-cols-2 gap-3">
            <FormulaField
              label="Width, across the cloth"
              place={`${place}.width`}
              value={piece.width}
              comesTo={drawn?.width.value}
              onType={(width) => onChange({ width })}
            />
            <FormulaField
              label="Height, along the cloth"
              place={`${place}.height`}
              value={piece.height}
              comesTo={drawn?.height.value}
              onType={(height) => onChange({ height })}
            />
          </div>
          <ShapeList
            place={place}
            letter={piece.letter}
            shapes={piece.shapes}
            onChange={(shapes) => onChange({ shapes })}
          />
          <fieldset>
            <legend className="mb-0.5 text-[13px] font-semibold text-soft">
              Allowance of each edge; “fold” for an edge that is a fold
            </legend>
            <div className="grid grid-cols-4 gap-2">
              {(['top', 'right', 'bottom', 'left'] as const).map((edge) => (
                <FormulaField
                  key={edge}
                  label={edge}
                  place={`${place}.edges.${edge}`}
                  value={piece.edges[edge]}
                  onType={(text) => onChange({ edges: { ...piece.edges, [edge]: text } })}
                />
              ))}
            </div>
          </fieldset>
          <div className="grid grid-cols-2 gap-x-3">
            <Tick
              label="It has a top: not turned on the cloth"
              checked={piece.directional}
              onTick={(directional) => onChange({ directional })}
            />
            <Tick
              label="It meets the print: all begin at the same height of it"
              checked={piece.meetsPrint ?? false}
              onTick={(meetsPrint) => onChange({ meetsPrint })}
            />
            <Tick
              label="The selvage may lie inside it"
              checked={piece.overSelvage ?? false}
              onTick={(overSelvage) => onChange({ overSelvage })}
            />
            <Tick
              label="Its bottom corners are boxed"
              checked={piece.boxed}
              onTick={(boxed) => onChange({ boxed })}
            />
            <Choice
              label="On the fold of the cloth"
              value={piece.fold}
              options={FOLDS}
              onChoose={(fold) => onChange({ fold })}
            />
            <LetterChoice
              label="Backs"
              value={piece.backs ?? ''}
              none="no other piece"
              onChoose={(letter) => onChange({ backs: letter || undefined })}
            />
          </div>
          <Tick
            label="Cut over size and trimmed later"
            checked={!!piece.trimTo}
            onTick={(on) =>
              onChange({ trimTo: on ? { width: piece.width, height: piece.height } : undefined })
            }
          />
          {piece.trimTo && (
            <div className="grid grid-cols-2 gap-3">
              <FormulaField
                label="Trimmed to, width"
                place={`${place}.trimTo.width`}
                value={piece.trimTo.width}
                onType={(width) => piece.trimTo && onChange({ trimTo: { ...piece.trimTo, width } })}
              />
              <FormulaField
                label="Trimmed to, height"
                place={`${place}.trimTo.height`}
                value={piece.trimTo.height}
                onType={(height) => piece.trimTo && onChange({ trimTo: { ...piece.trimTo, height } })}
              />
            </div>
          )}
          <MarkList place={place} marks={piece.marks} onChange={(marks) => onChange({ marks })} />
          <p className="text-[13px] text-soft">
            Formulas may use the measurements by their names, and the trade’s rules: “Rules” above the page
            lists them.
          </p>
        </div>
      </div>
    </Panel>
  );
}
