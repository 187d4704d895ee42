import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';
import { replaced, useFindings, without } from './editing';
import { DrawnOutline, rectangleOf } from './DrawnOutline';
import { Choice, FormulaField, PartHeading, RowButton } from './fields';
import { PLACES, SHAPE_MEASURES, SHAPES } from './words';

type Shape = Schemas['ShapeRow'];

const NEW: Shape = { kind: 'ROUNDED', place: 'TOP', across: '', along: '' };

/** A rectangle is what is left when nothing is cut away. */
const KINDS = Object.fromEntries(Object.entries(SHAPES).filter(([kind]) => kind !== 'RECTANGLE')) as Record<
  Shape['kind'],
  string
>;

/** What is cut away from a piece: several shapes, each of another part of it. */
export function ShapeList({
  place,
  letter,
  shapes,
  onChange,
}: {
  place: string;
  letter: string;
  shapes: Shape[];
  onChange: (shapes: Shape[]) => void;
}) {
  return (
    <section aria-label="Cut away">
      <PartHeading title="Cut away" add="Cut something away" onAdd={() => onChange([...shapes, NEW])} />
      {shapes.length === 0 && <p className="text-soft">Nothing: it is a rectangle.</p>}
      {shapes.map((shape, i) => (
        <ShapeRow
          key={i}
          place={`${place}.shapes.${i}`}
          letter={letter}
          shape={shape}
          onChange={(next) => onChange(replaced(shapes, i, next))}
          onRemove={() => onChange(without(shapes, i))}
        />
      ))}
    </section>
  );
}

function ShapeRow({
  place,
  letter,
  shape,
  onChange,
  onRemove,
}: {
  place: string;
  letter: string;
  shape: Shape;
  onChange: (next: Partial<Shape>) => void;
  onRemove: () => void;
}) {
  const problem = useFindings(place)[0]?.sentence;
  const [across, along] = SHAPE_MEASURES[shape.kind];
  const { isInch } = useUnits();
  const hasPlace = !['CIRCLE', 'OVAL', 'DRAWN'].includes(shape.kind);
  return (
    <div className="mb-2 border-b border-line pb-2">
      <div className="grid grid-cols-[1.6fr_1fr_1fr_1fr_auto] items-end gap-2">
        <Choice
          label="Shape"
          value={shape.kind}
          options={KINDS}
          onChoose={(kind) =>
            onChange({
              kind,
              drawn: kind === 'DRAWN' ? (shape.drawn ?? rectangleOf(isInch ? '0 in' : '0 mm')) : undefined,
            })
          }
        />
        {hasPlace ? (
          <Choice
            label="Where"
            value={shape.place}
            options={PLACES}
            onChoose={(where) => onChange({ place: where })}
          />
        ) : (
          <span />
        )}
        {across ? (
          <FormulaField
            label={across}
            place={`${place}.across`}
            value={shape.across}
            onType={(text) => onChange({ across: text })}
          />
        ) : (
          <span />
        )}
        {along ? (
          <FormulaField
            label={along}
            place={`${place}.along`}
            value={shape.along}
            onType={(text) => onChange({ along: text })}
          />
        ) : (
          <span />
        )}
        <RowButton label={`Remove the shape ${SHAPES[shape.kind]}`} onPress={onRemove}>
          ×
        </RowButton>
      </div>
      {problem && (
        <p role="alert" className="text-[13px] text-madder">
          {problem}
        </p>
      )}
      {shape.drawn && (
        <DrawnOutline
          place={`${place}.drawn`}
          letter={letter}
          drawn={shape.drawn}
          onChange={(next) => shape.drawn && onChange({ drawn: { ...shape.drawn, ...next } })}
        />
      )}
    </div>
  );
}
