import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, vi } from 'vitest';
import { design } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import type { LineForm } from './grid';
import { SlotFields } from './LineChoices';

afterEach(() => vi.unstubAllGlobals());

const bag = design({
  slots: [
    { key: 'outer', label: 'Outer cloth', kind: 'CLOTH', cloths: [] },
    { key: 'foam', label: 'Foam', kind: 'CLOTH', cloths: [] },
  ],
  openChoices: [
    {
      key: 'filling',
      name: 'Filling',
      usual: 'none',
      alternatives: [
        { key: 'none', name: 'none', letters: [], slots: [], steps: [], measures: [] },
        { key: 'foam', name: 'foam', letters: [], slots: ['foam'], steps: [], measures: [] },
      ],
    },
  ],
});

function Line({ seen }: { seen: (line: Partial<LineForm>) => void }) {
  const [line, setLine] = useState<Pick<LineForm, 'materials' | 'picks'>>({ materials: [] });
  return (
    <SlotFields
      line={line}
      document={bag}
      onChange={(next) => {
        seen(next);
        setLine({ ...line, ...next });
      }}
    />
  );
}

describe('how a line is made', () => {
  it('is chosen where the design leaves it open, and asks the server which materials that takes', async () => {
    const sent = server({
      '/api/materials': { items: [] },
      '/api/designs/slot-materials': [
        { slot: 'outer', materialIds: [], asked: true },
        { slot: 'foam', materialIds: [], asked: false },
      ],
    });
    const seen = vi.fn();
    rendered(<Line seen={seen} />);
    const filling = await screen.findByLabelText('Filling');
    expect(filling).toHaveDisplayValue('none (usual)');
    await vi.waitFor(() => expect(screen.queryByLabelText('Foam')).toBeNull());
    await userEvent.selectOptions(filling, 'foam');
    expect(seen).toHaveBeenCalledWith({ picks: [{ choice: 'filling', alternative: 'foam' }] });
    const asked = () => sent.filter((one) => one.path.includes('slot-materials')).map((one) => one.body);
    await vi.waitFor(() =>
      expect(asked().at(-1)).toMatchObject({ document: { openChoices: [{ usual: 'foam' }] } }),
    );
    await userEvent.selectOptions(filling, 'none');
    expect(seen).toHaveBeenLastCalledWith({ picks: [{ choice: 'filling', alternative: 'none' }] });
  });
});
