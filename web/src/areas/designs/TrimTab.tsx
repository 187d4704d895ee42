import type { Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { NameField } from '../../ui/NameField';
import { useUnits } from '../../ui/units';
import {
  copied,
  freeLetter,
  replaced,
  slotFor,
  useEditing,
  useFindings,
  useRename,
  without,
  type Document,
} from './editing';
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
import { PaperSays } from './PaperSays';
import { HALVES, STRAPS, TRIMS, ZIPS } from './words';

type Trim = Schemas['TrimNeed'];
type Strap = Schemas['Strap'];
type Zip = Schemas['ZipFit'];

const FILLINGS: Schemas['SlotRow']['kind'][] = ['FILLING_BY_WEIGHT', 'FILLING_BY_VOLUME'];

/** All that isn't cut from cloth, and what it has to fit. */
export function TrimTab() {
  const { document, sheet, change } = useEditing();
  const units = useUnits();
  const add = (
    kinds: Schemas['SlotRow']['kind'][],
    label: string,
    what: (slot: string) => Partial<Document>,
  ) => {
    const { slot, slots } = slotFor(document, kinds, label);
    change({ slots, ...what(slot) });
  };
  return (
    <>
      <PartHeading
        title="By length"
        add="Add a trim"
        onAdd={() =>
          add(['TRIM'], 'Trim', (slot) => ({
            trims: [
              ...document.trims,
              {
                letter: freeLetter(document),
                name: 'New trim',
                kind: 'WEBBING',
                slot,
                quantity: '1',
                length: units.begun,
                turnUnder: '',
                shortest: '',
                longest: '',
              },
            ],
          }))
        }
      />
      {document.trims.map((trim, i) => (
        <TrimEditor
          key={i}
          trim={trim}
          onChange={(next) => change({ trims: replaced(document.trims, i, next) })}
          onCopy={() => {
            const letter = freeLetter(document);
            const fits = document.zips.filter((zip) => zip.zip === trim.letter);
            change({
              trims: copied(document.trims, i, { ...trim, letter, name: `${trim.name}, copy` }),
              zips: [...document.zips, ...fits.map((fit) => ({ ...fit, zip: letter }))],
            });
          }}
          onRemove={() => change({ trims: without(document.trims, i) })}
        />
      ))}
      <Straps />
      <Casings />
      <Gathers />
      <PartHeading
        title="By count"
        add="Add a notion"
        onAdd={() =>
          add(['NOTION'], 'Notion', (slot) => ({
            notions: [...document.notions, { name: 'New notion', slot, quantity: '1', half: 'WHOLE' }],
          }))
        }
      />
      {document.notions.map((notion, i) => {
        const set = (next: Partial<typeof notion>) =>
          change({ notions: replaced(document.notions, i, next) });
        return (
          <div key={i} className="grid grid-cols-[1.4fr_1fr_90px_1fr_auto] items-end gap-2 py-0.5">
            <TextField
              label="Notion"
              maxLength={80}
              value={notion.name}
              onChange={(event) => set({ name: event.target.value })}
            />
            <SlotChoice
              label="Taken from"
              value={notion.slot}
              kinds={['NOTION']}
              onChoose={(slot) => set({ slot })}
            />
            <FormulaField
              label="Each"
              place={`notions.${i}.quantity`}
              value={notion.quantity}
              onType={(quantity) => set({ quantity })}
            />
            <Choice label="Half" value={notion.half} options={HALVES} onChoose={(half) => set({ half })} />
            <RowButton
              label={`Remove ${notion.name}`}
              onPress={() => change({ notions: without(document.notions, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
      <PartHeading
        title="Fillings"
        add="Add a filling"
        onAdd={() =>
          add(FILLINGS, 'Filling', (slot) => ({
            fillings: [...document.fillings, { name: 'New filling', slot, amounts: ['100 g'] }],
          }))
        }
      />
      {document.fillings.map((filling, i) => {
        const set = (next: Partial<typeof filling>) =>
          change({ fillings: replaced(document.fillings, i, next) });
        return (
          <div key={i} className="py-0.5">
            <div className="grid grid-cols-[1.4fr_1fr_auto] items-end gap-2">
              <TextField
                label="Filling"
                maxLength={80}
                value={filling.name}
                onChange={(event) => set({ name: event.target.value })}
              />
              <SlotChoice
                label="Taken from"
                value={filling.slot}
                kinds={FILLINGS}
                onChoose={(slot) => set({ slot })}
              />
              <RowButton
                label={`Remove ${filling.name}`}
                onPress={() => change({ fillings: without(document.fillings, i) })}
              >
                ×
              </RowButton>
            </div>
            <div className="flex flex-wrap items-end gap-2">
              {filling.amounts.map((amount, j) => (
                <div key={j} className="w-[150px]">
                  <FormulaField
                    label={filling.amounts.length > 1 ? `In ${document.sizes[j]}` : 'In each'}
                    place={`fillings.${i}.amount`}
                    value={amount}
                    inSize={filling.amounts.length > 1 ? sheet.sizes[j] : undefined}
                    onType={(text) => set({ amounts: filling.amounts.map((a, at) => (at === j ? text : a)) })}
                  />
                </div>
              ))}
              <Tick
                label="the same for all sizes"
                checked={filling.amounts.length === 1}
                onTick={(same) =>
                  set({
                    amounts: same
                      ? filling.amounts.slice(0, 1)
                      : document.sizes.map(() => filling.amounts[0] ?? ''),
                  })
                }
              />
            </div>
          </div>
        );
      })}
    </>
  );
}

function TrimEditor({
  trim,
  onChange,
  onCopy,
  onRemove,
}: {
  trim: Trim;
  onChange: (next: Partial<Trim>) => void;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const { document, shown, change } = useEditing();
  const rename = useRename();
  const units = useUnits();
  const place = `trims.${trim.letter}`;
  const sized = shown?.trims.find((t) => t.letter === trim.letter);
  const fitAt = document.zips.findIndex((zip) => zip.zip === trim.letter);
  const fit = document.zips[fitAt];
  const setFit = (next: Partial<Zip>) => change({ zips: replaced(document.zips, fitAt, next) });
  const formula = (key: 'length' | 'turnUnder' | 'shortest' | 'longest', label: string) => (
    <FormulaField
      label={label}
      place={`${place}.${key}`}
      value={trim[key]}
      onType={(text) => onChange({ [key]: text })}
    />
  );
  const fitField = (key: keyof Zip & string, label: string) =>
    fit && (
      <FormulaField
        label={label}
        place={`zips.${trim.letter}.${key}`}
        value={fit[key]}
        onType={(text) => setFit({ [key]: text })}
      />
    );
  return (
    <div className="mb-2 rounded border border-line p-2.5">
      <div className="grid grid-cols-[64px_1.3fr_1fr_1fr_70px_auto] items-end gap-2">
        <NameField
          label="Letter"
          maxLength={4}
          value={trim.letter}
          onName={(letter) => rename('LETTER', trim.letter, letter)}
        />
        <TextField
          label="Trim"
          maxLength={80}
          value={trim.name}
          onChange={(event) => onChange({ name: event.target.value })}
        />
        <Choice label="Kind" value={trim.kind} options={TRIMS} onChoose={(kind) => onChange({ kind })} />
        <SlotChoice
          label="Taken from"
          value={trim.slot}
          kinds={['TRIM']}
          onChoose={(slot) => onChange({ slot })}
        />
        <FormulaField
          label="Each"
          place={`${place}.quantity`}
          value={trim.quantity}
          onType={(quantity) => onChange({ quantity })}
        />
        <span className="whitespace-nowrap">
          <RowButton label={`Copy ${trim.name}`} onPress={onCopy}>
            <CopyMark />
          </RowButton>
          <RowButton label={`Remove ${trim.name}`} onPress={onRemove}>
            ×
          </RowButton>
        </span>
      </div>
      <PaperSays place={`trims.${trim.letter}`} />
      <div className="grid grid-cols-[2fr_1fr_1fr_1fr] gap-2">
        {formula('length', 'Length')}
        {formula('turnUnder', 'Turned under')}
        {formula('shortest', 'Shortest')}
        {formula('longest', 'Longest')}
      </div>
      {sized && (
        <p className="text-[13px] text-soft">
          {sized.count} × <b className="text-ink">{units.own(sized.length.value)}</b> ·{' '}
          {units.other(sized.length.value)}
          {sized.opening && ` · opens ${units.own(sized.opening.value)}`}
        </p>
      )}
      {trim.kind === 'ZIP' && !fit && (
        <button
          type="button"
          className="min-h-9 font-semibold text-woad hover:underline"
          onClick={() =>
            change({
              zips: [
                ...document.zips,
                {
                  zip: trim.letter,
                  school: 'INSET',
                  edge: '',
                  side: '',
                  clearance: '',
                  tab: '',
                  over: '',
                  covered: '',
                  slider: '',
                },
              ],
            })
          }
        >
          Say how it sits in its seam
        </button>
      )}
      {trim.kind === 'ZIP' && fit && (
        <div className="grid grid-cols-3 gap-2 md:grid-cols-4">
          <Choice label="Ends" value={fit.school} options={ZIPS} onChoose={(school) => setFit({ school })} />
          {fitField('edge', 'Edge it is sewn to')}
          {fit.school === 'INSET' && fitField('side', 'Side seam')}
          {fit.school === 'INSET' && fitField('clearance', 'Clearance')}
          {fit.school === 'TABS_TO_EDGE' && fitField('tab', 'Folded tab')}
          {fit.school === 'TABS_TO_EDGE' && fitField('over', 'Tab covers')}
          {fitField('covered', 'Covered at each end')}
          {fitField('slider', 'Slider')}
        </div>
      )}
    </div>
  );
}

function Straps() {
  const { document, change } = useEditing();
  return (
    <>
      <PartHeading
        title="Straps, and what they have to fit"
        add="Add a strap"
        onAdd={() =>
          change({
            straps: [
              ...document.straps,
              {
                of: '',
                school: 'FOUR_FOLD',
                width: '',
                seam: '',
                ring: '',
                shortest: '',
                longest: '',
                choice: '',
                schools: [],
              },
            ],
          })
        }
      />
      {document.straps.map((strap, i) => {
        const set = (next: Partial<typeof strap>) => change({ straps: replaced(document.straps, i, next) });
        const field = (key: 'width' | 'seam' | 'ring' | 'shortest' | 'longest', label: string) => (
          <FormulaField
            label={label}
            place={`straps.${strap.of}.${key}`}
            value={strap[key]}
            onType={(text) => set({ [key]: text })}
          />
        );
        return (
          <div key={i} className="mb-1 grid grid-cols-[1.3fr_1.3fr_repeat(5,1fr)_auto] items-end gap-2">
            <LetterChoice
              label="Strap"
              among="all"
              none="choose …"
              value={strap.of}
              onChoose={(of) => set({ of })}
            />
            <StrapMade strap={strap} onChange={set} />
            {field('width', 'Width')}
            {field('seam', 'Seam')}
            {field('ring', 'Ring inside')}
            {field('shortest', 'Shortest')}
            {field('longest', 'Longest')}
            <RowButton
              label={`Remove strap ${i + 1}`}
              onPress={() => change({ straps: without(document.straps, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
    </>
  );
}

/** How a strap is made: always the same way, or by a choice among the measurements. */
function StrapMade({ strap, onChange }: { strap: Strap; onChange: (next: Partial<Strap>) => void }) {
  const { document } = useEditing();
  const choices = document.measurements.filter((one) => one.kind === 'CHOICE');
  const followed = choices.find((one) => one.symbol === strap.choice);
  const problem = useFindings(`straps.${strap.of}.choice`)[0]?.sentence;
  const made = (schools: Strap['schools'], option: number) => schools[option] ?? strap.school;
  return (
    <div>
      <SelectField
        label="Made"
        value={strap.choice ? `by ${strap.choice}` : strap.school}
        error={problem}
        onChange={(event) => {
          const by = choices.find((one) => `by ${one.symbol}` === event.target.value);
          onChange(
            by
              ? { choice: by.symbol, schools: by.options.map((_, i) => made(strap.schools, i)) }
              : { choice: '', schools: [], school: event.target.value as Strap['school'] },
          );
        }}
      >
        {Object.entries(STRAPS).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
        {choices.map((one) => (
          <option key={one.symbol} value={`by ${one.symbol}`}>
            by {one.label}
          </option>
        ))}
        {strap.choice && !followed && <option value={`by ${strap.choice}`}>by {strap.choice}</option>}
      </SelectField>
      {followed?.options.map((option, i) => (
        <Choice
          key={option}
          label={option}
          value={made(strap.schools, i)}
          options={STRAPS}
          onChoose={(school) =>
            onChange({
              schools: followed.options.map((_, at) => (at === i ? school : made(strap.schools, at))),
            })
          }
        />
      ))}
    </div>
  );
}

/** Edges that are gathered, on elastic or to what they are sewn to. */
function Gathers() {
  const { document, change } = useEditing();
  const gathers = document.gathers ?? [];
  return (
    <>
      <PartHeading
        title="Gathered edges"
        add="Add a gathered edge"
        onAdd={() => change({ gathers: [...gathers, { of: '', elastic: '', onto: '', seam: '' }] })}
      />
      {gathers.map((gather, i) => {
        const set = (next: Partial<typeof gather>) => change({ gathers: replaced(gathers, i, next) });
        return (
          <div key={i} className="mb-1 grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-end gap-2">
            <LetterChoice label="Gathered" none="choose …" value={gather.of} onChoose={(of) => set({ of })} />
            <LetterChoice
              label="On elastic"
              among="trims"
              none="none"
              value={gather.elastic}
              onChoose={(elastic) => set({ elastic })}
            />
            <LetterChoice label="Sewn to" value={gather.onto} onChoose={(onto) => set({ onto })} />
            <FormulaField
              label="Caught at each end"
              place={`gathers.${i}.seam`}
              value={gather.seam}
              onType={(seam) => set({ seam })}
            />
            <RowButton
              label={`Remove gathered edge ${i + 1}`}
              onPress={() => change({ gathers: without(gathers, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
    </>
  );
}

function Casings() {
  const { document, change } = useEditing();
  return (
    <>
      <PartHeading
        title="Casings"
        add="Add a casing"
        onAdd={() =>
          change({
            casings: [
              ...document.casings,
              {
                name: 'Casing',
                height: '',
                round: true,
                thickness: '',
                ease: '',
                gap: '',
                gapFrom: '',
                header: '',
                top: '',
              },
            ],
          })
        }
      />
      {document.casings.map((casing, i) => {
        const set = (next: Partial<typeof casing>) =>
          change({ casings: replaced(document.casings, i, next) });
        const field = (
          key: 'height' | 'thickness' | 'ease' | 'gap' | 'gapFrom' | 'header' | 'top',
          label: string,
        ) => (
          <FormulaField
            label={label}
            place={`casings.${i}.${key}`}
            value={casing[key]}
            onType={(text) => set({ [key]: text })}
          />
        );
        return (
          <div key={i} className="mb-1 grid grid-cols-4 items-end gap-2">
            {field('height', 'Height of the casing')}
            {field('thickness', casing.round ? 'Diameter of the cord' : 'Width of the ribbon')}
            {field('ease', 'Ease')}
            <Tick label="round cord" checked={casing.round} onTick={(round) => set({ round })} />
            {field('gap', 'Height of the gap')}
            {field('gapFrom', 'Gap from the raw edge')}
            {field('header', 'Header')}
            {field('top', 'Top seam')}
            <RowButton
              label={`Remove casing ${i + 1}`}
              onPress={() => change({ casings: without(document.casings, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
    </>
  );
}
