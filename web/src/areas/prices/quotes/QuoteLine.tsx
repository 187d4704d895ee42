import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../../api/client';
import { keys, useDesign, useDesignNames } from '../../../api/queries';
import { BagLook } from '../../../ui/BagLook';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { Notice } from '../../../ui/Notice';
import { useUnits } from '../../../ui/units';
import { SlotFields } from '../../batches/LineChoices';

type Line = Schemas['QuoteLineForm'];

export const NEW_LINE: Line = {
  designId: 0,
  sizeKey: '',
  materials: [],
  units: '6',
  numbers: '12, 24',
  wish: '',
  wishMinutes: '',
  wishMaterial: '',
  ownPrice: '',
};

/** A bag that is asked for: which, in which cloth, how many, what is special about it, and what it costs by number. */
export function QuoteLine({
  line,
  number,
  figures,
  problem,
  isOpen,
  onChange,
  onRemove,
}: {
  line: Line;
  number: number;
  figures: Schemas['QuoteLineFigures'] | undefined;
  problem: (field: string) => string | undefined;
  isOpen: boolean;
  /** With a design: only as long as the bag is still of it. */
  onChange: (next: Partial<Line>, design?: number) => void;
  onRemove: (() => void) | undefined;
}) {
  const { currency } = useUnits();
  const client = useQueryClient();
  const names = useDesignNames();
  const design = useDesign(line.designId > 0 ? line.designId : undefined);
  const document = design.data?.document;
  // The design's usual size and materials stand there as soon as it is chosen.
  const choose = async (id: number) => {
    onChange({ designId: id, sizeKey: '', materials: [], picks: undefined });
    const chosen = await client.fetchQuery({
      queryKey: [...keys.designs, id],
      queryFn: () => api.get<Schemas['DesignView']>(`/api/designs/${id}`),
    });
    onChange(
      {
        sizeKey: chosen.document.sizeKeys?.[0] ?? '',
        materials: chosen.document.slots.flatMap((slot) =>
          slot.materialId === undefined ? [] : [{ slot: slot.key, materialId: slot.materialId }],
        ),
      },
      id,
    );
  };
  const field = (
    name: 'units' | 'numbers' | 'wishMinutes' | 'wishMaterial' | 'ownPrice',
    label: string,
    hint?: string,
  ) => (
    <TextField
      label={label}
      inputMode={name === 'numbers' ? undefined : 'decimal'}
      placeholder={hint}
      value={line[name]}
      error={problem(name)}
      onChange={(event) => onChange({ [name]: event.target.value })}
    />
  );
  const isDrawn = figures?.picture !== undefined || figures?.photo !== undefined;
  return (
    <section className="sheet px-4 py-3" aria-label={`Bag ${number}`}>
      <div
        className={`grid items-start gap-3 ${isDrawn ? 'md:grid-cols-[84px_2fr_1fr_90px_1fr]' : 'md:grid-cols-[2fr_1fr_90px_1fr]'}`}
      >
        {isDrawn && (
          <span className="flex min-h-[66px] items-center">
            <BagLook picture={figures.picture} photo={figures.photo} across={84} up={66} />
          </span>
        )}
        <SelectField
          label="Bag"
          value={line.designId || ''}
          onChange={(event) => void choose(Number(event.target.value))}
        >
          <option value="" disabled>
            choose …
          </option>
          {names.data?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Size"
          value={line.sizeKey}
          error={problem('sizeKey')}
          onChange={(event) => onChange({ sizeKey: event.target.value })}
        >
          {document && !document.sizeKeys?.includes(line.sizeKey) && (
            <option value={line.sizeKey} disabled>
              choose …
            </option>
          )}
          {(document?.sizes ?? []).map((size, i) => (
            <option key={size} value={document?.sizeKeys?.[i]}>
              {size}
            </option>
          ))}
        </SelectField>
        {field('units', 'How many')}
        {field('numbers', 'Also priced for', '12, 24')}
      </div>
      {document && <SlotFields line={line} document={document} onChange={onChange} />}
      <details className="mt-2" open={line.wish !== '' || line.ownPrice !== '' || undefined}>
        <summary className="cursor-pointer py-1 font-semibold text-woad">A wish, or your own price</summary>
        <div className="mt-1 grid items-start gap-3 md:grid-cols-[2fr_1fr_1fr_1fr]">
          <TextField
            label="Wish"
            maxLength={300}
            value={line.wish}
            error={problem('wish')}
            onChange={(event) => onChange({ wish: event.target.value })}
          />
          {field('wishMinutes', 'It takes (min each)')}
          {field('wishMaterial', `Its material (${currency} each)`)}
          {field('ownPrice', 'Your price', figures?.usual?.amount)}
        </div>
      </details>
      {figures?.problem && (
        <div className="mt-2">
          <Notice look="care">{figures.problem}</Notice>
        </div>
      )}
      {figures?.price && (
        <table className="listing mt-3">
          <thead>
            <tr>
              <th className="num">Number</th>
              <th className="num">One costs</th>
              <th className="num">Price of one</th>
              <th className="num">An hour</th>
            </tr>
          </thead>
          <tbody>
            {[
              { units: figures.units, cost: figures.cost, pays: figures.pays, perHour: figures.perHour },
              ...figures.byNumber,
            ]
              .sort((one, other) => one.units - other.units)
              .map((one) => (
                <tr key={one.units} className={one.units === figures.units ? 'font-semibold' : ''}>
                  <td className="num">{one.units}</td>
                  <td className="num">{one.cost?.amount}</td>
                  <td className="num">{one.pays?.amount}</td>
                  <td className="num">{one.perHour?.amount}</td>
                </tr>
              ))}
          </tbody>
        </table>
      )}
      {isOpen && onRemove && (
        <Button look="quiet" className="mt-2" onClick={onRemove}>
          Remove this bag
        </Button>
      )}
    </section>
  );
}
