import { useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { NameField } from '../../ui/NameField';
import { PanelShape } from '../../ui/PieceDrawing';
import { sides, useUnits } from '../../ui/units';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { freeLetter, replaced, useEditing, useRename, without } from './editing';
import { Choice, FormulaField, LetterChoice, PartHeading, RowButton, Tick } from './fields';
import { MarkList } from './MarkList';
import { BASES, BOXINGS, SIDES } from './words';

type Panel = Schemas['PanelRow'];
type Form = Schemas['FormRow'];

const DIRECTIONS = { DOWN: 'from the top down', ACROSS: 'from left to right' };

const flat = (letter: string): Panel['parts'][number] => ({
  letter,
  shows: '',
  tuck: '',
  hang: 'FLAT',
  slant: '',
});

/** How the bag comes together, and the panels that are assembled before that. */
export function FormTab() {
  const { document, change } = useEditing();
  const { data: forms } = useQuery({
    queryKey: ['design-forms'],
    queryFn: () => api.get<Schemas['FormView'][]>('/api/design-forms'),
    staleTime: Infinity,
  });
  const form = document.form;
  const set = (next: Partial<Form>) => change({ form: { ...form, ...next } });
  const chosen = forms?.find((f) => f.kind === form.kind);
  const kinds = Object.fromEntries(forms?.map((f) => [f.kind, f.words]) ?? []) as Record<
    Form['kind'],
    string
  >;
  return (
    <>
      <PartHeading title="How it comes together" />
      <div className="grid gap-3 md:grid-cols-3">
        {forms && (
          <Choice label="Form" value={form.kind} options={kinds} onChoose={(kind) => set({ kind })} />
        )}
        <LetterChoice label="Outside" value={form.outer} onChoose={(outer) => set({ outer })} />
        <LetterChoice
          label="Lining"
          value={form.lining}
          none="no lining"
          onChoose={(lining) => set({ lining })}
        />
        {chosen?.other && (
          <LetterChoice
            label={`The ${chosen.other}`}
            value={form.other}
            none={form.kind === 'BOXED' ? 'it is cut like the front' : 'choose …'}
            onChoose={(other) => set({ other })}
          />
        )}
        {form.kind === 'BOXED' && (
          <>
            <Choice
              label="Corners"
              value={form.school}
              options={BOXINGS}
              hint="What is measured at the corner changes; the finished size stays."
              onChoose={(school) => set({ school })}
            />
            <Choice
              label="The base is"
              value={form.base}
              options={BASES}
              onChoose={(base) => set({ base })}
            />
            <Choice
              label="Joined at the sides by"
              value={form.sides ?? 'SEAMS'}
              options={SIDES}
              onChoose={(sides) => set({ sides })}
            />
          </>
        )}
        {chosen?.measures.map((measure) => (
          <FormulaField
            key={measure.key}
            label={measure.label[0]?.toUpperCase() + measure.label.slice(1)}
            place={`form.${measure.key}`}
            value={form.measures[measure.key] ?? ''}
            placeholder="none"
            onType={(text) => set({ measures: { ...form.measures, [measure.key]: text } })}
          />
        ))}
      </div>
      <PartHeading
        title="Panels sewn together from parts"
        add="Add a panel"
        onAdd={() =>
          change({
            panels: [
              ...document.panels,
              {
                letter: freeLetter(document),
                name: 'New panel',
                direction: 'DOWN',
                parts: document.pieces.slice(0, 1).map((piece) => flat(piece.letter)),
                join: form.measures.sideSeam ?? '',
                marks: [],
              },
            ],
          })
        }
      />
      {document.panels.length === 0 && (
        <p className="text-soft">Two-tone faces, yokes and faces with a zip across are put together here.</p>
      )}
      {document.panels.map((panel, i) => (
        <PanelEditor
          key={i}
          panel={panel}
          onChange={(next) => change({ panels: replaced(document.panels, i, next) })}
          onRemove={() => change({ panels: without(document.panels, i) })}
        />
      ))}
    </>
  );
}

function PanelEditor({
  panel,
  onChange,
  onRemove,
}: {
  panel: Panel;
  onChange: (next: Partial<Panel>) => void;
  onRemove: () => void;
}) {
  const { document, shown } = useEditing();
  const rename = useRename();
  const units = useUnits();
  const sized = shown?.panels.find((p) => p.letter === panel.letter);
  const place = `panels.${panel.letter}`;
  const isZip = (letter: string) => document.trims.some((trim) => trim.letter === letter);
  const isCloth = (letter?: string) => !!letter && !isZip(letter);
  return (
    <div className="mb-3 rounded border border-line p-3">
      <div className="grid grid-cols-[70px_1fr_1fr_1fr_auto] items-end gap-2">
        <NameField
          label="Letter"
          maxLength={4}
          value={panel.letter}
          onName={(letter) => rename('LETTER', panel.letter, letter)}
        />
        <TextField
          label="Name"
          maxLength={80}
          value={panel.name}
          onChange={(event) => onChange({ name: event.target.value })}
        />
        <Choice
          label="Parts follow"
          value={panel.direction}
          options={DIRECTIONS}
          onChoose={(direction) => onChange({ direction })}
        />
        <FormulaField
          label="Allowance at a join"
          place={`${place}.join`}
          value={panel.join}
          onType={(join) => onChange({ join })}
        />
        <RowButton label={`Remove the panel ${panel.name}`} onPress={onRemove}>
          ×
        </RowButton>
      </div>
      <ol className="mt-1 flex flex-wrap items-end gap-2" aria-label={`Parts of ${panel.name}`}>
        {panel.parts.map((part, j) => (
          <li key={j} className="flex items-end gap-1">
            {part.tuck ? (
              <div className="w-[130px]">
                <FormulaField
                  label={`Part ${j + 1}: a tuck, deep`}
                  place={`${place}.parts.${j}.tuck`}
                  value={part.tuck}
                  onType={(tuck) => onChange({ parts: replaced(panel.parts, j, { tuck: tuck || ' ' }) })}
                />
              </div>
            ) : (
              <LetterChoice
                label={`Part ${j + 1}`}
                among="all"
                none="choose …"
                value={part.letter}
                onChoose={(letter) =>
                  onChange({
                    parts: replaced(panel.parts, j, {
                      letter,
                      shows: isZip(letter) ? part.shows || '1 cm' : '',
                      ...(isZip(letter) && { hang: 'FLAT', slant: '' }),
                    }),
                  })
                }
              />
            )}
            {isZip(part.letter) && (
              <div className="w-[110px]">
                <FormulaField
                  label="of it shows"
                  place={`${place}.parts.${j}.shows`}
                  value={part.shows}
                  onType={(shows) => onChange({ parts: replaced(panel.parts, j, { shows }) })}
                />
              </div>
            )}
            {part.letter && !part.tuck && !isZip(part.letter) && (
              <>
                <Tick
                  label={`Part ${j + 1} is gathered`}
                  checked={part.hang === 'GATHERED'}
                  onTick={(gathered) =>
                    onChange({ parts: replaced(panel.parts, j, { hang: gathered ? 'GATHERED' : 'FLAT' }) })
                  }
                />
                {(part.slant || isCloth(panel.parts[j + 1]?.letter)) && (
                  <div className="w-[130px]">
                    <FormulaField
                      label={`Seam after part ${j + 1} slants by`}
                      place={`${place}.parts.${j}.slant`}
                      value={part.slant}
                      onType={(slant) => onChange({ parts: replaced(panel.parts, j, { slant }) })}
                    />
                  </div>
                )}
              </>
            )}
            <RowButton
              label={`Remove part ${j + 1} of ${panel.name}`}
              onPress={() => onChange({ parts: without(panel.parts, j) })}
            >
              ×
            </RowButton>
          </li>
        ))}
        <li>
          <button
            type="button"
            className="min-h-11 px-2 font-semibold text-woad hover:underline"
            onClick={() => onChange({ parts: [...panel.parts, flat('')] })}
          >
            Add a part
          </button>
          <button
            type="button"
            className="min-h-11 px-2 font-semibold text-woad hover:underline"
            onClick={() => onChange({ parts: [...panel.parts, { ...flat(''), tuck: units.tuck }] })}
          >
            Add a tuck
          </button>
        </li>
      </ol>
      {sized && (
        <p className="mt-2 flex items-center gap-3">
          <PanelShape panel={sized} room={110} />
          <span>
            Assembled{' '}
            <WorkedFigure label={`${panel.name}, width`} working={sized.width.working}>
              {units.own(sized.width.value)}
            </WorkedFigure>
            {' × '}
            <WorkedFigure label={`${panel.name}, height`} working={sized.height.working}>
              {units.own(sized.height.value)}
            </WorkedFigure>{' '}
            <span className="text-soft">
              {sides(units.other(sized.width.value), units.other(sized.height.value))}
            </span>
          </span>
        </p>
      )}
      <Tick
        label="Assembled over size and trimmed"
        checked={!!panel.trimTo}
        onTick={(on) =>
          onChange({
            trimTo: on
              ? { width: sized?.width.value.exact ?? '', height: sized?.height.value.exact ?? '' }
              : undefined,
          })
        }
      />
      {panel.trimTo && (
        <div className="grid grid-cols-2 gap-3">
          <FormulaField
            label="Trimmed to, width"
            place={`${place}.trimTo.width`}
            value={panel.trimTo.width}
            onType={(width) => panel.trimTo && onChange({ trimTo: { ...panel.trimTo, width } })}
          />
          <FormulaField
            label="Trimmed to, height"
            place={`${place}.trimTo.height`}
            value={panel.trimTo.height}
            onType={(height) => panel.trimTo && onChange({ trimTo: { ...panel.trimTo, height } })}
          />
        </div>
      )}
      <MarkList place={place} marks={panel.marks} onChange={(marks) => onChange({ marks })} />
    </div>
  );
}
