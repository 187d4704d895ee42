import { api, type Schemas } from '../../api/client';
import { ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

/** What else the design allows where a material is short, and of which enough is free. */
export function Replacing({
  need,
  form,
  line,
  onChoose,
}: {
  need: Schemas['NeedLine'];
  form: Schemas['BatchForm'];
  /** The place of the form's line that it is for. */
  line: number;
  onChoose: (slot: string, materialId: number) => void;
}) {
  const units = useUnits();
  const find = useSend(() =>
    api.post<Schemas['Replacement'][]>(
      `/api/batches/replacements?line=${line}&slot=${encodeURIComponent(need.slot)}`,
      form,
    ),
  );
  return (
    <div className="no-print">
      {!find.data && (
        <button
          type="button"
          className="min-h-6 text-[13px] font-semibold text-woad hover:underline"
          disabled={find.isPending}
          onClick={() => find.mutate(undefined)}
        >
          What else would do?
        </button>
      )}
      <ProblemNotice problem={find.problem} />
      {find.data?.length === 0 && (
        <span className="text-[13px] text-soft">Nothing else on the shelf would do; see what to buy.</span>
      )}
      <ul>
        {find.data?.map((other) => (
          <li key={other.materialId}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-2 text-left hover:bg-woad-tint"
              onClick={() => onChoose(need.slot, other.materialId)}
            >
              <Swatch kind={need.kind} colour={other.colour} />
              <span>
                <b>{other.name}</b>
                <span className="block text-[13px] text-soft">
                  takes {units.amount(other.needed)} of {units.amount(other.free)}
                  {other.cost && `, ${other.cost.amount} each`}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
