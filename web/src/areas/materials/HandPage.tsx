import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, useMaterials } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { OffcutDrawing, Swatch } from '../../ui/Roll';
import { Tag } from '../../ui/Tag';
import { useUnits } from '../../ui/units';
import { useTitle } from '../../ui/useTitle';

/** Starts from what is in the hand: what can be made of it, how many, and what that leaves for an hour. */
export default function HandPage() {
  useTitle('What can I make of this?');
  const units = useUnits();
  const [search, setSearch] = useSearchParams();
  const { data: materials } = useMaterials();
  const material = search.get('material') ?? '';
  const lot = search.get('lot');
  const { data, error, isFetching } = useQuery({
    queryKey: [...keys.materials, 'hand', material, lot],
    queryFn: () =>
      api.get<Schemas['HandView']>(`/api/in-hand?material=${material}${lot ? `&lot=${lot}` : ''}`),
    enabled: material !== '',
  });
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>What can I make of this?</h1>
          <p className="text-soft">
            Ranked by what is left for an hour, at the price by your way of pricing.
          </p>
        </div>
        <div className="w-[320px]">
          <SelectField
            label="In my hand"
            value={material}
            onChange={(event) => setSearch({ material: event.target.value })}
          >
            <option value="">choose …</option>
            {materials?.items.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name} · {units.amount(one.free)} free
              </option>
            ))}
          </SelectField>
        </div>
      </header>
      <ProblemNotice problem={error} />
      {material !== '' && !data && !error && (
        <p className="text-soft">{isFetching && 'Trying all designs …'}</p>
      )}
      {data && (
        <>
          <section className="sheet mb-4 flex items-center gap-4 p-4" aria-label="In the hand">
            {data.size ? (
              <OffcutDrawing
                colour={data.material.colour}
                print={data.material.facts.print}
                width={data.size.width}
                height={data.size.height}
                scale={90 / Math.max(data.size.width, data.size.height)}
              />
            ) : (
              <Swatch
                kind={data.material.kind}
                colour={data.material.colour}
                print={data.material.facts.print}
                photo={data.material.photo}
              />
            )}
            <div>
              <div className="text-[20px] font-bold">
                {units.amount(data.amount)} {data.width && 'pieces'} of {data.material.name}
              </div>
              <div className="text-soft">
                {data.width && data.height
                  ? `each ${units.own(data.width)} by ${units.own(data.height)}`
                  : 'what no batch has reserved'}
              </div>
            </div>
          </section>
          {data.makeable.length === 0 && (
            <section className="sheet p-5">
              <h2>Nothing can be made of that</h2>
              <p className="text-soft">
                {data.tooSmall.length > 0
                  ? `It would serve for these, but there is too little of it: ${data.tooSmall.join('; ')}.`
                  : 'No design asks for such a thing.'}
              </p>
            </section>
          )}
          <ul className="grid gap-3 lg:grid-cols-2">
            {data.makeable.map((one) => (
              <li
                key={`${one.designId}-${one.sizeName}-${one.slot}`}
                className="sheet grid grid-cols-[84px_1fr_auto] gap-4 p-4"
              >
                <div>
                  <div className="text-[34px] leading-none font-bold">{one.units}</div>
                  <div className="text-[13px] text-soft">can be made</div>
                </div>
                <div className="min-w-0">
                  <Link
                    className="inline-block min-h-6 font-semibold text-woad hover:underline"
                    to={`/designs/${one.designId}`}
                  >
                    {one.designName}, {one.sizeName}
                  </Link>
                  <div className="text-soft">
                    as {one.slotLabel.toLowerCase()}, {units.amount(one.takes)}
                  </div>
                  {one.missing && <div className="text-weld">{one.missing}</div>}
                  <details>
                    <summary className="min-h-6 cursor-pointer text-[13px] font-semibold text-woad">
                      What else they take
                    </summary>
                    <ul className="text-[13px]">
                      {one.others.map((other) => (
                        <li key={`${other.materialId}-${other.name}`}>
                          {units.amount(other.amount)} {other.name}{' '}
                          {other.shortBy && <Tag look="bad">{units.amount(other.shortBy)} short</Tag>}
                        </li>
                      ))}
                    </ul>
                  </details>
                </div>
                <div className="text-right">
                  <div className="text-[20px] leading-tight font-bold">{one.perHour?.amount ?? '–'}</div>
                  <div className="text-[13px] text-soft">left for an hour</div>
                  {one.price && <div className="text-[13px] text-soft">sold at {one.price.amount}</div>}
                  <ButtonLink
                    look="quiet"
                    className="mt-2"
                    to={`/batches/new?design=${one.designId}&size=${encodeURIComponent(one.sizeName)}&units=${one.units}&slot=${one.slot}&material=${data.material.id}${data.lotId !== undefined ? `&lot=${data.lotId}` : ''}`}
                  >
                    Plan it
                  </ButtonLink>
                </div>
              </li>
            ))}
          </ul>
          {data.makeable.length > 0 && data.tooSmall.length > 0 && (
            <p className="mt-3 text-soft">Too little of it for: {data.tooSmall.join('; ')}.</p>
          )}
        </>
      )}
    </>
  );
}
