import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { design, server } from '../../ui/fixtures.test.helper';
import { editor } from './editing.test.helper';
import { useEditing } from './editing';
import { FormulaField } from './fields';

const rule = (name: string, ...parameters: string[]) => ({
  name,
  call: name,
  sentence: '',
  parameters: parameters.map((label) => ({ symbol: label, label, dimension: 'LENGTH' })),
});

function Note() {
  const { document, change } = useEditing();
  return <FormulaField label="Width" place="" value={document.note} onType={(note) => change({ note })} />;
}

function opened(note: string) {
  server({
    '/api/constructions': {
      functions: [],
      subjects: [
        {
          subject: 'BOXED_PANEL',
          title: 'Panels',
          ways: [
            {
              school: 'width',
              cut: rule('panel_width', 'base', 'depth', 'seam'),
              wanted: rule('panel_back'),
            },
          ],
        },
      ],
    },
  });
  return editor(
    <Note />,
    design({
      note,
      measurements: [
        { symbol: 'width', label: 'Width at the base', kind: 'FINISHED', values: ['8 in'], options: [] },
        { symbol: 'wide', label: 'How wide', kind: 'FINISHED', values: ['1 in'], options: [] },
      ],
    }),
  );
}

describe('a formula', () => {
  it('is completed from the design’s measurements by keys alone', async () => {
    const { current } = opened('');
    const field = screen.getByRole('combobox', { name: 'Width' });
    await userEvent.type(field, '2 * wx{Backspace}');
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      'width Width at the base',
      'wide How wide',
    ]);
    await userEvent.keyboard('{ArrowDown}{ArrowDown}{ArrowUp}{Enter}');
    expect(current.document.note).toBe('2 * width');
    expect(screen.queryByRole('listbox')).toBeNull();
  });

  it('offers rules with what they are given, and puts the caret between their brackets', async () => {
    const { current } = opened('');
    const field = screen.getByRole<HTMLInputElement>('combobox', { name: 'Width' });
    await userEvent.type(field, 'panel_w');
    expect(await screen.findByText('base; depth; seam')).toBeVisible();
    await userEvent.click(screen.getByRole('option', { name: /panel_width/ }));
    expect(current.document.note).toBe('panel_width()');
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
    await userEvent.keyboard('w');
    expect(current.document.note).toBe('panel_width(w)');
  });

  it('leaves Tab and Enter alone until something is chosen, and Escape closes the offers', async () => {
    const { current } = opened('');
    const field = screen.getByRole('combobox', { name: 'Width' });
    await userEvent.type(field, 'w');
    expect(screen.getByRole('listbox')).toBeVisible();
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('listbox')).toBeNull();
    await userEvent.type(field, 'i');
    await userEvent.tab();
    expect(current.document.note).toBe('wi');
    expect(field).not.toHaveFocus();
  });
});
