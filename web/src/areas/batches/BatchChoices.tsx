import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { day } from '../../ui/units';
import type { LineForm } from './grid';
import { SlotFields } from './LineChoices';

type Form = Schemas['BatchForm'];

/** For what a batch is made, and by when. */
export function Purpose({
  form,
  fairs,
  onChange,
}: {
  form: Form;
  fairs: Schemas['FairRow'][];
  onChange: (next: Partial<Form>) => void;
}) {
  return (
    <>
      <TextField
        label="For"
        list="fairs"
        maxLength={120}
        value={form.forWhat}
        onChange={(event) => {
          const fair = fairs.find((f) => f.name === event.target.value);
          onChange({ forWhat: event.target.value, ...(fair ? { dueOn: fair.heldOn } : {}) });
        }}
      />
      <datalist id="fairs">
        {fairs.map((fair) => (
          <option key={fair.id} value={fair.name}>
            {day(fair.heldOn)}
          </option>
        ))}
      </datalist>
      <TextField
        label="Wanted by"
        type="date"
        value={form.dueOn ?? ''}
        onChange={(event) => onChange({ dueOn: event.target.value || undefined })}
      />
    </>
  );
}

/** What is to be decided for a batch of one line: size, cloths, for when. The usual materials stand there already. */
export function BatchChoices({
  form,
  line,
  document,
  designs,
  fairs,
  canChangeDesign,
  onDesign,
  onLine,
  onChange,
  children,
}: {
  form: Form;
  line: LineForm;
  document: Schemas['DesignDocument'];
  designs: Schemas['DesignName'][];
  fairs: Schemas['FairRow'][];
  canChangeDesign: boolean;
  onDesign: (id: number) => void;
  onLine: (next: Partial<LineForm>) => void;
  onChange: (next: Partial<Form>) => void;
  children?: ReactNode;
}) {
  return (
    <section className="sheet no-print p-3" aria-label="Choices">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        {canChangeDesign && designs.length > 1 && (
          <SelectField
            label="Design"
            value={line.designId}
            onChange={(event) => onDesign(Number(event.target.value))}
          >
            {designs.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </SelectField>
        )}
        <SelectField
          label="Size"
          value={line.sizeName}
          onChange={(event) => onLine({ sizeName: event.target.value })}
        >
          {document.sizes.map((size) => (
            <option key={size}>{size}</option>
          ))}
        </SelectField>
        <Purpose form={form} fairs={fairs} onChange={onChange} />
      </div>
      <SlotFields line={line} document={document} onChange={onLine} />
      {children}
    </section>
  );
}
