import { TextField } from '../../ui/Field';
import { day, fullDay } from '../../ui/units';
import { withOccasion, type Draft, type Occasion, type Row } from './season';

/** What a design is sold for, which nobody wants afterwards. */
export function OccasionPart({ row, draft, today }: { row: Row; draft: Draft; today: string }) {
  const occasion = draft.value?.occasions.find((one) => one.designId === row.designId);
  const set = (next: Omit<Occasion, 'designId'> | undefined) =>
    draft.update((form) => withOccasion(form, row.designId, next));
  return (
    <fieldset>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={!!occasion}
          onChange={(event) =>
            set(event.target.checked ? { name: '', lastDay: today, keeps: '10' } : undefined)
          }
        />
        Sold for an occasion, in all sizes and cloths of {row.design}
      </label>
      {occasion && (
        <div className="flex flex-wrap gap-3">
          <TextField
            label="Occasion"
            placeholder="midwinter, school start …"
            maxLength={60}
            value={occasion.name}
            onChange={(event) => set({ ...occasion, name: event.target.value })}
          />
          <TextField
            label="Last day it sells"
            type="date"
            value={occasion.lastDay}
            error={occasion.lastDay ? undefined : 'Type the last day on which it sells.'}
            onChange={(event) => set({ ...occasion, lastDay: event.target.value })}
          />
          <TextField
            label="Worth afterwards (%)"
            inputMode="decimal"
            value={occasion.keeps}
            onChange={(event) => set({ ...occasion, keeps: event.target.value })}
          />
        </div>
      )}
    </fieldset>
  );
}

/** What a bag is sold for and when it has to be begun, in a few words. */
export function occasionWords({ occasion, make }: Row): string | undefined {
  if (!occasion) return undefined;
  if (occasion.isOver) return `${occasion.name} was over on ${fullDay(occasion.lastDay)}`;
  const until = `for ${occasion.name}, until ${day(occasion.lastDay)}`;
  if (!occasion.lastSale) return `${until}: nothing that counts comes before`;
  if (make === 0) return until;
  return `${until} · ${occasion.beginBy ? `begin by ${day(occasion.beginBy)}` : 'too little time is left'}`;
}
