import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { CLOTHS, NOTIONS, TRIM_WARES } from '../designs/words';
import { newColour, TITLES, typedAs, usualAmount, type Kind, type Material } from './words';

type Form = Schemas['MaterialForm'];
type Facts = Schemas['FactsForm'];

/** Three answers to a question that has a usual one. */
type Said = 'usual' | 'yes' | 'no';
type Fields = Omit<Form, 'facts'> & {
  facts: Omit<Facts, 'ironable' | 'frays' | 'weightClass' | 'ware'> & {
    ironable: Said;
    frays: Said;
    weightClass: Facts['weightClass'] | '';
    ware: Facts['ware'] | '';
  };
};

const NO_FACTS: Facts = {
  fullWidth: '',
  selvage: '',
  fibre: '',
  nap: false,
  shrinksAfterCutting: false,
  repeat: '',
  shrinkage: '',
  layersAtOnce: '',
  needle: '',
  care: '',
  print: 'PLAIN',
  oneDyeLot: false,
  twoPart: false,
  zipLength: '',
  zipMetal: false,
  usePerHour: '',
  target: '',
  place: '',
};

const PRINTS: Record<Facts['print'], string> = {
  PLAIN: 'plain',
  DOTS: 'dots',
  STRIPES: 'stripes',
  CHECKS: 'checks',
  FLORAL: 'flowers or leaves',
  TEXTURE: 'a texture',
};

const said = (value?: boolean): Said => (value === undefined ? 'usual' : value ? 'yes' : 'no');
const meant = (value: Said) => (value === 'usual' ? undefined : value === 'yes');

/** Enters a new material, or changes one; its stock is changed by movements instead. */
export function MaterialPanel(props: { kind: Kind; material?: Material; onClose: () => void }) {
  const { data, isError } = useMaterials();
  if (!props.material && !data && !isError) return null;
  return <MaterialForm {...props} colour={newColour(data?.items.map((one) => one.colour) ?? [])} />;
}

function MaterialForm({
  kind,
  material,
  colour,
  onClose,
}: {
  kind: Kind;
  material?: Material;
  /** With which a new one begins. */
  colour: string;
  onClose: () => void;
}) {
  const units = useUnits();
  const request = useRequestId();
  const exact = (amount?: Schemas['AmountView']) => amount?.exact ?? '';
  const facts = material?.facts ?? NO_FACTS;
  const { register, handleSubmit } = useForm<Fields>({
    defaultValues: {
      requestId: request.id,
      version: material?.version ?? 0,
      kind,
      name: material?.name ?? '',
      note: material?.note ?? '',
      colour: material?.colour ?? colour,
      usableWidth: material?.usableWidth?.exact ?? '',
      sheetHeight: material?.sheetHeight?.exact ?? '',
      directional: material?.directional ?? false,
      cloth: material?.cloth,
      price: material && material.price.minor > 0 ? material.price.amount : '',
      pricePer: material ? exact(material.pricePer) : usualAmount(kind, units.cloth),
      lowAt: exact(material?.lowAt),
      onHand: '',
      given: false,
      facts: {
        ...facts,
        ironable: said(facts.ironable),
        frays: said(facts.frays),
        weightClass: facts.weightClass ?? '',
        ware: facts.ware ?? '',
      },
    },
  });
  const send = useSend(
    (form: Form) =>
      material
        ? api.put<Material>(`/api/materials/${material.id}`, form)
        : api.post<Material>('/api/materials', form),
    onClose,
  );
  const on = (field: string) => send.problem?.on(field);
  const wares = kind === 'TRIM' ? TRIM_WARES : kind === 'NOTION' ? NOTIONS : undefined;
  const bare = typedAs(kind, units.cloth);
  const isCloth = kind === 'CLOTH' || kind === 'SHEET';
  const factsWrong = send.problem?.errors.some((error) => error.field.startsWith('facts.'));
  return (
    <Panel title={material ? material.name : TITLES[kind]} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={handleSubmit((form) => {
          if (!send.isPending) {
            send.mutate({
              ...form,
              cloth: form.cloth || undefined,
              version: send.problem?.currentVersion ?? form.version,
              facts: {
                ...form.facts,
                ironable: meant(form.facts.ironable),
                frays: meant(form.facts.frays),
                weightClass: form.facts.weightClass || undefined,
                ware: form.facts.ware || undefined,
              },
            });
          }
        })}
      >
        <TextField label="Name" error={on('name')} {...register('name')} />
        <TextField label="What is it?" error={on('note')} {...register('note')} />
        {wares && (
          <SelectField
            label={kind === 'TRIM' ? 'Which trim' : 'Which notion'}
            hint="So that it is offered where it fits, and nowhere else."
            error={on('facts.ware')}
            {...register('facts.ware')}
          >
            <option value="">{kind === 'NOTION' ? 'not said, or a closed-end zip' : 'not said'}</option>
            {Object.entries(wares).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </SelectField>
        )}
        {isCloth && (
          <>
            {kind === 'SHEET' ? (
              <div className="grid grid-cols-2 gap-3">
                <TextField
                  label="A sheet is wide"
                  hint={`A bare number is ${units.small}.`}
                  error={on('usableWidth')}
                  {...register('usableWidth')}
                />
                <TextField
                  label="and high"
                  hint="So it lies, top up."
                  error={on('sheetHeight')}
                  {...register('sheetHeight')}
                />
              </div>
            ) : (
              <TextField
                label="Usable width, without the selvages"
                hint={`A bare number is ${units.small}.`}
                error={on('usableWidth')}
                {...register('usableWidth')}
              />
            )}
            <SelectField label="What kind of cloth" error={on('cloth')} {...register('cloth')}>
              <option value="">not said</option>
              {Object.entries(CLOTHS).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </SelectField>
            <Tick label="One way up: a print or stripe with a top, so pieces with a top aren’t turned">
              <input type="checkbox" className="size-5" {...register('directional')} />
            </Tick>
          </>
        )}
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={`Price (${units.currency})`}
            inputMode="decimal"
            hint="Empty: not known yet."
            error={on('price')}
            {...register('price')}
          />
          <TextField
            label="for"
            hint={kind === 'NOTION' || kind === 'PACKING' ? 'how many: 1, 10, 100' : bare}
            error={on('pricePer')}
            {...register('pricePer')}
          />
          {!material && (
            <TextField label="On the shelf now" hint={bare} error={on('onHand')} {...register('onHand')} />
          )}
          <TextField label="Low below" hint="Empty: never." error={on('lowAt')} {...register('lowAt')} />
          <TextField
            label="Fill up to"
            hint="Empty: just what is missing."
            error={on('facts.target')}
            {...register('facts.target')}
          />
          <TextField
            label="Where it lies"
            hint="A shelf, a drawer, a box."
            error={on('facts.place')}
            {...register('facts.place')}
          />
          <TextField label="Colour" type="color" error={on('colour')} {...register('colour')} />
        </div>
        {!material && (
          <Tick label="What is on the shelf was given to me">
            <input type="checkbox" className="size-5" {...register('given')} />
          </Tick>
        )}
        {kind === 'CLOTH' && (
          <details open={factsWrong || undefined}>
            <summary className="min-h-11 cursor-pointer py-2 font-semibold text-woad">
              More about this cloth
            </summary>
            <div className="grid grid-cols-2 gap-3">
              <SelectField label="How it looks" {...register('facts.print')}>
                {Object.entries(PRINTS).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </SelectField>
              <TextField
                label="Print repeats after"
                error={on('facts.repeat')}
                {...register('facts.repeat')}
              />
              <TextField
                label="Width from edge to edge"
                error={on('facts.fullWidth')}
                {...register('facts.fullWidth')}
              />
              <TextField
                label="Selvage on each side"
                error={on('facts.selvage')}
                {...register('facts.selvage')}
              />
              <TextField
                label="Still shrinks by (%)"
                inputMode="decimal"
                hint="Empty if it is washed before it is shelved."
                error={on('facts.shrinkage')}
                {...register('facts.shrinkage')}
              />
              <TextField
                label="Layers cut at once"
                inputMode="numeric"
                error={on('facts.layersAtOnce')}
                {...register('facts.layersAtOnce')}
              />
              <TextField label="Fibre" error={on('facts.fibre')} {...register('facts.fibre')} />
              <SelectField label="Weight" {...register('facts.weightClass')}>
                <option value="">not said</option>
                <option value="LIGHT">light</option>
                <option value="MEDIUM">medium</option>
                <option value="HEAVY">heavy</option>
              </SelectField>
              <SelectField label="May it be ironed?" {...register('facts.ironable')}>
                <option value="usual">as usual for its kind</option>
                <option value="yes">yes</option>
                <option value="no">no</option>
              </SelectField>
              <SelectField label="Does it fray?" {...register('facts.frays')}>
                <option value="usual">as usual for its kind</option>
                <option value="yes">yes</option>
                <option value="no">no</option>
              </SelectField>
              <TextField label="Needle" error={on('facts.needle')} {...register('facts.needle')} />
              <TextField label="Care words" error={on('facts.care')} {...register('facts.care')} />
            </div>
            <Tick label="It shrinks after cutting: its pieces are cut larger">
              <input type="checkbox" className="size-5" {...register('facts.shrinksAfterCutting')} />
            </Tick>
            <Tick label="It has a nap, so it is cut one way up">
              <input type="checkbox" className="size-5" {...register('facts.nap')} />
            </Tick>
          </details>
        )}
        {(kind === 'CLOTH' || kind === 'TRIM') && (
          <Tick label="All of a batch must come from one dye lot">
            <input type="checkbox" className="size-5" {...register('facts.oneDyeLot')} />
          </Tick>
        )}
        {kind === 'NOTION' && (
          <>
            <Tick label="Two halves, counted apart and sold as sets">
              <input type="checkbox" className="size-5" {...register('facts.twoPart')} />
            </Tick>
            {on('facts.twoPart') && <p className="text-[13px] text-madder">{on('facts.twoPart')}</p>}
            <div className="grid grid-cols-2 gap-3">
              <TextField
                label="A closed-end zip? Its length"
                hint="Empty for anything else."
                error={on('facts.zipLength')}
                {...register('facts.zipLength')}
              />
              <Tick label="Metal teeth: it can’t be cut down">
                <input type="checkbox" className="size-5" {...register('facts.zipMetal')} />
              </Tick>
            </div>
          </>
        )}
        {kind === 'THREAD' && (
          <TextField
            label="A machine takes in an hour"
            hint="Steps that name this thread take it off the spool when a batch is finished. Its cost is part of the overheads."
            error={on('facts.usePerHour')}
            {...register('facts.usePerHour')}
          />
        )}
        <FormEnd problem={send.problem} isPending={send.isPending} />
      </form>
    </Panel>
  );
}

function Tick({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      {children}
      {label}
    </label>
  );
}
