import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { Schemas } from '../../api/client';
import { useDesign, useMaterials } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import {
  bags,
  gridOf,
  lineOf,
  MOST_LINES,
  NO_CLOTH,
  pastedFields,
  spread,
  typed,
  type Grid,
  type LineForm,
} from './grid';

type Document = Schemas['DesignDocument'];

/**
 * What is made together, as a sheet of paper: designs and sizes down, cloths across, a number in each field. Arrow keys, Tab and Enter
 * go from field to field; a table can be pasted from a spreadsheet.
 */
export function BatchGrid({
  lines,
  documents,
  designs,
  problems,
  chosen,
  onChoose,
  onChange,
}: {
  lines: LineForm[];
  documents: Map<number, Document>;
  designs: Schemas['DesignName'][];
  /** What is wrong with a line, by its place. */
  problems: Map<number, string>;
  /** The place of the line that is looked at. */
  chosen?: number;
  onChoose: (place: number | undefined) => void;
  onChange: (lines: LineForm[]) => void;
}) {
  const { data: materials } = useMaterials();
  const table = useRef<HTMLTableElement>(null);
  const [said, setSaid] = useState<string>();
  const grid = gridOf(lines, documents);
  const material = (id: number) => materials?.items.find((one) => one.id === id);
  const name = (id: number) => (id === NO_CLOTH ? 'No cloth yet' : (material(id)?.name ?? '…'));
  const design = (id: number) => designs.find((one) => one.id === id)?.name ?? documents.get(id)?.name ?? '…';
  const rowName = (row: Grid['rows'][number]) =>
    `${design(row.designId)}, ${row.sizeName}${row.nth > 0 ? ` (${row.nth + 1})` : ''}`;
  const text = (row: number, column: number) => {
    const place = grid.at[row]?.[column];
    return place === undefined ? '' : (lines[place]?.units ?? '');
  };
  const sum = (texts: string[]) => texts.reduce((all, one) => all + (bags(one) ?? 0), 0);
  const several = lines.length > 1;
  const all = grid.rows.flatMap((_, row) => grid.cloths.map((__, column) => text(row, column)));
  const focus = (row: number, column: number) => {
    const field = table.current?.querySelector<HTMLInputElement>(`[data-field="${row}-${column}"]`);
    field?.focus();
    field?.select();
    return field !== null && field !== undefined;
  };
  const fill = (rows: string[][], atRow: number, atColumn: number) => {
    const wide = Math.max(...rows.map((row) => row.length));
    if (atRow + rows.length > grid.rows.length || atColumn + wide > grid.cloths.length) {
      setSaid(
        `What was pasted is ${rows.length} by ${wide}, and from this field on there are only ${grid.rows.length - atRow} by ${grid.cloths.length - atColumn}. Nothing was changed: add designs or cloths first, or paste further up.`,
      );
      return;
    }
    setSaid(undefined);
    let next = lines;
    rows.forEach((fields, down) =>
      fields.forEach((field, across) => {
        next = typed(next, gridOf(next, documents), atRow + down, atColumn + across, field, documents);
      }),
    );
    take(next);
  };
  const take = (next: LineForm[]) => {
    if (next.length > MOST_LINES) {
      setSaid(`A batch has at most ${MOST_LINES} lines. Plan the others as a batch of their own.`);
      return;
    }
    onChange(next);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>, row: number, column: number) => {
    const to: Record<string, [number, number]> = {
      ArrowUp: [row - 1, column],
      ArrowDown: [row + 1, column],
      Enter: [row + 1, column],
      ArrowLeft: [row, column - 1],
      ArrowRight: [row, column + 1],
    };
    const next = to[event.key];
    if (!next) return;
    if (focus(next[0], next[1]) || event.key === 'Enter') event.preventDefault();
  };
  const onPaste = (event: ClipboardEvent<HTMLInputElement>, row: number, column: number) => {
    const rows = pastedFields(event.clipboardData.getData('text/plain'));
    if (!rows) return;
    event.preventDefault();
    fill(rows, row, column);
  };
  return (
    <section className="sheet p-3" aria-label="What is made together">
      <div className="overflow-x-auto">
        <table ref={table} className="border-separate border-spacing-0">
          <caption className="sr-only">How many of each design and size in each cloth</caption>
          <thead>
            <tr>
              <th scope="col" className="min-w-[210px] pr-3 pb-2 text-left align-bottom">
                <h2>Made together</h2>
              </th>
              {grid.cloths.map((cloth) => (
                <th key={cloth} scope="col" className="w-[92px] px-1 pb-2 align-bottom text-[13px]">
                  {cloth !== NO_CLOTH && (
                    <span className="mb-1 flex justify-center">
                      <Swatch kind="CLOTH" colour={material(cloth)?.colour ?? '#9fb0b0'} />
                    </span>
                  )}
                  <span className="block leading-tight font-semibold">{name(cloth)}</span>
                </th>
              ))}
              <th scope="col" className="px-3 pb-2 text-right align-bottom text-[13px] text-soft">
                bags
              </th>
            </tr>
          </thead>
          <tbody>
            {grid.rows.map((row, r) => (
              <tr key={`${row.designId}-${row.sizeName}-${row.nth}`}>
                <th scope="row" className="border-t border-line-faint py-1 pr-3 text-left font-semibold">
                  {design(row.designId)}
                  <span className="block text-[13px] font-normal text-soft">
                    {row.sizeName}
                    {row.nth > 0 && ` · ${row.nth + 1}`}
                  </span>
                </th>
                {grid.cloths.map((cloth, c) => {
                  const place = grid.at[r]?.[c];
                  const wrong = place === undefined ? undefined : problems.get(place);
                  return (
                    <td key={cloth} className="relative border-t border-line-faint p-1">
                      {several && place !== undefined && lines[place]?.number !== undefined && (
                        <span
                          className="pointer-events-none absolute top-1.5 left-2.5 text-[11px] text-soft"
                          aria-hidden
                        >
                          {lines[place].number}
                        </span>
                      )}
                      <input
                        data-field={`${r}-${c}`}
                        aria-label={`${rowName(row)} in ${name(cloth)}`}
                        aria-invalid={!!wrong}
                        title={wrong}
                        inputMode="numeric"
                        autoComplete="off"
                        maxLength={12}
                        className={`h-11 w-[84px] rounded border bg-white text-center text-lg font-semibold focus:outline-2 focus:outline-woad ${
                          wrong
                            ? 'border-madder bg-madder-tint'
                            : place !== undefined && place === chosen
                              ? 'border-woad'
                              : 'border-line-strong'
                        }`}
                        value={text(r, c)}
                        onFocus={(event) => {
                          event.target.select();
                          onChoose(place);
                        }}
                        onKeyDown={(event) => onKey(event, r, c)}
                        onPaste={(event) => onPaste(event, r, c)}
                        onChange={(event) => {
                          setSaid(undefined);
                          const next = typed(lines, grid, r, c, event.target.value, documents);
                          take(next);
                          if (next.length > lines.length) onChoose(next.length - 1);
                        }}
                      />
                    </td>
                  );
                })}
                <td className="num border-t border-line-faint px-3">
                  {sum(grid.cloths.map((_, c) => text(r, c)))}
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row" className="border-t-2 border-ink py-1.5 pr-3 text-left text-soft">
                bags
              </th>
              {grid.cloths.map((cloth, c) => (
                <td key={cloth} className="border-t-2 border-ink text-center">
                  {sum(grid.rows.map((_, r) => text(r, c)))}
                </td>
              ))}
              <td className="num border-t-2 border-ink px-3">
                <b>{sum(all)}</b>
              </td>
            </tr>
          </tfoot>
        </table>
      </div>
      {said && (
        <div className="mt-2">
          <Notice look="care">{said}</Notice>
        </div>
      )}
      {[...problems.entries()].map(([place, sentence]) => {
        const line = lines[place];
        return (
          <p key={place} className="mt-1.5 text-[13.5px] text-madder">
            {line && `${design(line.designId)}, ${line.sizeName}: `}
            {sentence}
          </p>
        );
      })}
      <GridTools
        grid={grid}
        lines={lines}
        documents={documents}
        designs={designs}
        cloths={
          materials?.items.filter(
            (one) => one.kind === 'CLOTH' && !one.putAway && !grid.cloths.includes(one.id),
          ) ?? []
        }
        onFill={(texts) => fill(texts, 0, 0)}
        onAdd={(line) => take([...lines, line])}
      />
    </section>
  );
}

/** Adds designs and cloths to the table, and fills all its fields at once. */
function GridTools({
  grid,
  lines,
  documents,
  designs,
  cloths,
  onFill,
  onAdd,
}: {
  grid: Grid;
  lines: LineForm[];
  documents: Map<number, Document>;
  designs: Schemas['DesignName'][];
  cloths: Schemas['MaterialView'][];
  onFill: (texts: string[][]) => void;
  onAdd: (line: LineForm) => void;
}) {
  const [number, setNumber] = useState('');
  const [design, setDesign] = useState<number>();
  const count = bags(number);
  const fields = grid.rows.length * grid.cloths.length;
  const fillAll = (numbers: number[]) =>
    onFill(
      grid.rows.map((_, r) =>
        grid.cloths.map((__, c) => {
          const one = numbers[r * grid.cloths.length + c] ?? 0;
          return one === 0 ? '' : String(one);
        }),
      ),
    );
  const newest = useDesign(design).data?.document;
  const ofBatch = design === undefined ? undefined : documents.get(design);
  const document = ofBatch ?? newest;
  const sizes = document?.sizes.filter(
    (size) => !grid.rows.some((row) => row.designId === design && row.sizeName === size),
  );
  const addSize = (size: string) => {
    if (design === undefined || !document) return;
    const revision = lines.find((line) => line.designId === design)?.revision;
    onAdd({ ...lineOf(design, document, size, grid.cloths[0]), revision });
  };
  const first = lines[0];
  const addCloth = (cloth: number) => {
    const its = first && documents.get(first.designId);
    if (first && its) onAdd(lineOf(first.designId, its, first.sizeName, cloth, first));
  };
  return (
    <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-line-faint pt-3">
      <div className="w-[190px]">
        <SelectField
          label="Add a design"
          value={design ?? ''}
          onChange={(event) => setDesign(event.target.value ? Number(event.target.value) : undefined)}
        >
          <option value="">choose …</option>
          {designs.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
      </div>
      {sizes && (
        <div className="flex flex-wrap gap-1.5" role="group" aria-label="Its sizes">
          {sizes.map((size) => (
            <Button key={size} look="quiet" onClick={() => addSize(size)}>
              + {size}
            </Button>
          ))}
          {sizes.length === 0 && <span className="pb-2.5 text-soft">all its sizes are there</span>}
        </div>
      )}
      <div className="w-[190px]">
        <SelectField
          label="Add a cloth"
          value=""
          onChange={(event) => event.target.value && addCloth(Number(event.target.value))}
        >
          <option value="">choose …</option>
          {cloths.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
      </div>
      <div className="flex items-end gap-1.5">
        <div className="w-[74px]">
          <TextField
            label="How many"
            inputMode="numeric"

            maxLength={6}
            value={number}
            onChange={(event) => setNumber(event.target.value)}
          />
        </div>
        <Button
          look="quiet"
          disabled={!count}
          onClick={() => count && fillAll(Array.from({ length: fields }, () => count))}
        >
          In each field
        </Button>
        <Button look="quiet" disabled={!count} onClick={() => count && fillAll(spread(count, fields))}>
          Spread over all
        </Button>
      </div>
    </div>
  );
}
