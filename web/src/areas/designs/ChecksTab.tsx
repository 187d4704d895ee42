import { useState } from 'react';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Tag } from '../../ui/Tag';
import { useEditing, type Finding, type Sheet } from './editing';

/** What looks wrong before cloth is cut, where and why; each can be set aside with a reason. */
export function ChecksTab() {
  const { document, sheet, change } = useEditing();
  const found = new Map<string, { finding: Finding; sizes: string[] }>();
  sheet.sizes.forEach((size) =>
    size.findings.forEach((finding) => {
      const key = `${finding.place}|${finding.check ?? finding.sentence}`;
      const known = found.get(key);
      if (known) known.sizes.push(size.size);
      else found.set(key, { finding, sizes: [size.size] });
    }),
  );
  const all = [...found.values()];
  const open = all.filter(({ finding }) => !finding.setAside);
  const aside = all.filter(({ finding }) => finding.setAside);
  const setAside = ({ check, place }: Finding, reason: string) => {
    if (check) change({ setAside: [...document.setAside, { check, place, reason }] });
  };
  const takeUp = (finding: Finding) =>
    change({
      setAside: document.setAside.filter((s) => s.check !== finding.check || s.place !== finding.place),
    });
  return (
    <>
      <h2>What looks wrong</h2>
      {open.length === 0 && !isWorkedOut(sheet) && (
        <p className="py-2">
          <Tag look="care">not yet</Tag>{' '}
          <span className="text-soft">
            Nothing can be looked at before the pieces are there and can be worked out.
          </span>
        </p>
      )}
      {open.length === 0 && isWorkedOut(sheet) && (
        <p className="py-2">
          <Tag look="ok">nothing</Tag>{' '}
          <span className="text-soft">
            Sizes, panels, zips, straps, pockets, casings, fasteners, needles, iron, thickness and the order
            of steps were looked at.
          </span>
        </p>
      )}
      <ul className="divide-y divide-line">
        {open.map(({ finding, sizes }) => (
          <FoundItem
            key={finding.place + finding.sentence}
            finding={finding}
            where={whereOf(finding, document, sizes)}
            onSetAside={(reason) => setAside(finding, reason)}
          />
        ))}
      </ul>
      {aside.length > 0 && (
        <>
          <h2 className="mt-4">Set aside</h2>
          <ul className="divide-y divide-line">
            {aside.map(({ finding, sizes }) => (
              <li
                key={finding.place + finding.sentence}
                className="flex items-start justify-between gap-3 py-2"
              >
                <span>
                  <b>{finding.title}</b>{' '}
                  <span className="text-soft">{whereOf(finding, document, sizes)}</span>
                  <span className="block text-soft">{finding.sentence}</span>
                  <span className="block">Because: {finding.setAside}</span>
                </span>
                <Button look="quiet" onClick={() => takeUp(finding)}>
                  Take up again
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** Whether there is anything that was looked at: of a design that gives no pieces nothing is right, either. */
const isWorkedOut = (sheet: Sheet) =>
  sheet.canBeSewn && sheet.sizes.length > 0 && sheet.sizes.every((size) => size.pieces.length > 0);

function FoundItem({
  finding,
  where,
  onSetAside,
}: {
  finding: Finding;
  where: string;
  onSetAside: (reason: string) => void;
}) {
  const [reason, setReason] = useState<string>();
  const { goTo } = useEditing();
  return (
    <li className="py-2">
      <div className="flex items-start justify-between gap-3">
        <span>
          <Tag look={finding.severity === 'REFUSED' ? 'bad' : 'care'}>{finding.title ?? 'can’t be sewn'}</Tag>{' '}
          <button
            type="button"
            className="min-h-6 font-semibold text-woad hover:underline"
            onClick={() => goTo(finding.place)}
          >
            {where}
          </button>
          <span className="block">{finding.sentence}</span>
        </span>
        {finding.check && reason === undefined && (
          <Button look="quiet" onClick={() => setReason('')}>
            Set aside
          </Button>
        )}
      </div>
      {reason !== undefined && (
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim()) onSetAside(reason.trim());
          }}
        >
          <div className="grow">
            <TextField
              label="Why it is right as it is"
              maxLength={200}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
          </div>
          <Button type="submit" disabled={!reason.trim()}>
            Set aside
          </Button>
        </form>
      )}
    </li>
  );
}

/** A finding's place in words. */
function whereOf({ place }: Finding, document: ReturnType<typeof useEditing>['document'], sizes: string[]) {
  const [part = '', key = ''] = place.split('.');
  const byLetter = [...document.pieces, ...document.panels, ...document.trims];
  const names: Record<string, string | undefined> = {
    measurements: document.measurements.find((m) => m.symbol === key)?.label,
    steps: (document.steps.find((s) => s.key === key) ?? document.steps[Number(key)])?.name,
    casings: document.casings[Number(key)]?.name ?? key,
    gathers: 'gathered edges',
    notions: document.notions[Number(key)]?.name,
    fillings: document.fillings[Number(key)]?.name,
    form: 'how it comes together',
    slots: document.slots.find((slot) => slot.key === key)?.label,
    letters: 'letters',
    sizes: 'sizes',
  };
  const named = names[part] ?? byLetter.find((item) => item.letter === key)?.name ?? part;
  const inSizes = sizes.length < document.sizes.length ? `, ${sizes.join(', ')}` : '';
  return `${named}${inSizes}`;
}
