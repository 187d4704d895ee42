import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { freeKey, replaced, useEditing, without } from './editing';
import { Choice, PartHeading, RowButton, SlotMaterial, Tick } from './fields';
import { PaperPart } from './PaperSays';
import { ASKED, CLOTHS, CONDITIONS, LICENCES, NOTIONS } from './words';

type Slot = Schemas['SlotRow'];
type Condition = Schemas['Source']['conditions'][number];

/** What it is, whose it is, and what it is usually made of. */
export function AboutTab() {
  const { document, change } = useEditing();
  const source = document.source;
  const setSource = (next: Partial<typeof source>) => change({ source: { ...source, ...next } });
  const limited = source.licence === 'SO_MANY' || source.licence === 'SO_MANY_A_YEAR';
  return (
    <>
      <div className="grid gap-3 md:grid-cols-3">
        <TextField
          label="What sort of thing"
          maxLength={60}
          value={document.sort}
          placeholder="pouch, tote, wallet …"
          onChange={(event) => change({ sort: event.target.value })}
        />
        <UsualUnits />
        <TextField
          label="Note"
          maxLength={1000}
          value={document.note}
          onChange={(event) => change({ note: event.target.value })}
        />
        <Choice
          label="Whose design"
          value={source.licence}
          options={LICENCES}
          onChoose={(licence) => setSource({ licence })}
        />
        {source.licence !== 'OWN' && (
          <>
            <TextField
              label="Designer"
              maxLength={120}
              value={source.designer}
              onChange={(event) => setSource({ designer: event.target.value })}
            />
            {limited && (
              <TextField
                label="How many may be sold"
                inputMode="numeric"
                value={source.most}
                onChange={(event) => setSource({ most: Number(event.target.value.replace(/\D/g, '')) || 0 })}
              />
            )}
            <TextField
              label="Credit line for the label"
              maxLength={200}
              value={source.credit}
              onChange={(event) => setSource({ credit: event.target.value })}
            />
            <div>
              {(Object.keys(CONDITIONS) as Condition[]).map((condition) => (
                <Tick
                  key={condition}
                  label={CONDITIONS[condition]}
                  checked={source.conditions.includes(condition)}
                  onTick={(holds) =>
                    setSource({
                      conditions: (Object.keys(CONDITIONS) as Condition[]).filter((one) =>
                        one === condition ? holds : source.conditions.includes(one),
                      ),
                    })
                  }
                />
              ))}
            </div>
          </>
        )}
      </div>
      {source.licence !== 'OWN' && <Counted />}
      <Tick
        label="It is meant for children"
        checked={document.forChildren}
        onTick={(forChildren) => change({ forChildren })}
      />
      <Slots />
      <PaperPart />
    </>
  );
}

/** What counts against the licence by now. */
function Counted() {
  const { id } = useParams();
  const { data } = useQuery({
    queryKey: ['designs', Number(id), 'licence'],
    queryFn: () => api.get<Schemas['LicenceView']>(`/api/designs/${id}/licence`),
    enabled: id !== undefined,
  });
  if (!data) return null;
  return (
    <p className="text-soft" aria-label="Counted against the licence">
      {data.byYear ? 'This year ' : 'So far '}
      <b>{data.made}</b> made or planned and <b>{data.sold}</b> sold
      {data.most > 0 && (
        <>
          , of <b>{data.most}</b> that the licence allows
        </>
      )}
      .
    </p>
  );
}

function Slots() {
  const { document, change } = useEditing();
  return (
    <>
      <PartHeading
        title="Materials"
        add="Ask for another material"
        onAdd={() =>
          change({
            slots: [
              ...document.slots,
              {
                key: freeKey(
                  'material',
                  document.slots.map((s) => s.key),
                ),
                label: 'New material',
                kind: 'CLOTH',
                cloths: [],
              },
            ],
          })
        }
      />
      {document.slots.map((slot, i) => {
        const set = (next: Partial<Slot>) => change({ slots: replaced(document.slots, i, next) });
        return (
          <div key={slot.key} className="grid grid-cols-[1fr_1fr_1.2fr_1.4fr_auto] items-end gap-2 py-0.5">
            <TextField
              label="Asked for"
              maxLength={80}
              value={slot.label}
              onChange={(event) => set({ label: event.target.value })}
            />
            <Choice
              label="Kind"
              value={slot.kind}
              options={ASKED}
              onChoose={(kind) => set({ kind, cloths: [], ware: undefined, materialId: undefined })}
            />
            {slot.kind === 'CLOTH' ? (
              <SelectField
                label="Usual cloth"
                value={slot.cloths[0] ?? ''}
                hint={slot.cloths.length > 0 && <OtherCloths slot={slot} onChange={set} />}
                onChange={(event) => {
                  const chosen = event.target.value as Slot['cloths'][number];
                  set({ cloths: chosen ? [chosen, ...slot.cloths.filter((c) => c !== chosen)] : [] });
                }}
              >
                <option value="">any</option>
                {Object.entries(CLOTHS).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </SelectField>
            ) : slot.kind === 'NOTION' ? (
              <SelectField
                label="What it has to be"
                value={slot.ware ?? ''}
                onChange={(event) => set({ ware: (event.target.value || undefined) as Slot['ware'] })}
              >
                <option value="">anything</option>
                {Object.entries(NOTIONS).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </SelectField>
            ) : (
              <span />
            )}
            <SlotMaterial slotKey={slot.key} />
            <RowButton
              label={`Remove ${slot.label}`}
              onPress={() => change({ slots: without(document.slots, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
    </>
  );
}

/** Cloths that serve as well, in the order in which they were thought of. */
function OtherCloths({ slot, onChange }: { slot: Slot; onChange: (next: Partial<Slot>) => void }) {
  const others = slot.cloths.slice(1);
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      {others.map((cloth) => (
        <button
          key={cloth}
          type="button"
          title={`${CLOTHS[cloth]} doesn’t serve`}
          className="min-h-6 text-woad hover:underline"
          onClick={() => onChange({ cloths: slot.cloths.filter((c) => c !== cloth) })}
        >
          or {CLOTHS[cloth]} ×
        </button>
      ))}
      <select
        aria-label={`Another cloth for ${slot.label}`}
        className="min-h-6 max-w-[110px] bg-transparent text-woad"
        value=""
        onChange={(event) =>
          onChange({ cloths: [...slot.cloths, event.target.value as Slot['cloths'][number]] })
        }
      >
        <option value="">or …</option>
        {Object.entries(CLOTHS)
          .filter(([key]) => !slot.cloths.includes(key as Slot['cloths'][number]))
          .map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
      </select>
    </span>
  );
}

function UsualUnits() {
  const { document, change } = useEditing();
  const [typed, setTyped] = useState(String(document.usualUnits));
  const units = Number(typed);
  const fits = Number.isInteger(units) && units >= 1 && units <= 5000;
  return (
    <TextField
      label="Usually made at a time"
      inputMode="numeric"
      value={typed}
      error={fits ? undefined : `“${typed}” isn’t a whole number from 1 to 5000.`}
      hint="The ticket’s figures are for a batch of this size."
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value);
        if (Number.isInteger(next) && next >= 1 && next <= 5000) change({ usualUnits: next });
      }}
    />
  );
}
