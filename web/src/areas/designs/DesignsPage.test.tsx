import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, length, money, piece } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { AboutTab } from './AboutTab';
import { DesignDrawing } from './DesignDrawing';
import DesignsPage from './DesignsPage';
import { editor, server } from './editing.test.helper';

afterEach(() => vi.unstubAllGlobals());

const line = (id: number, name: string): Schemas['DesignLine'] => ({
  id,
  name,
  sort: 'tote',
  sizes: ['small', 'large'],
  measures: [length('13 in', ''), length('14 in', '')],
  cost: money(2715),
  price: money(3900),
  perHour: money(3260),
  toLookAt: id,
});

describe('the list of designs', () => {
  it('shows what each one measures, costs and leaves, and what is to be looked at', async () => {
    server({ '/api/designs': { items: [line(0, 'Tern'), line(2, 'Wren')], page: 0, size: 24, total: 2 } });
    rendered(<DesignsPage />);
    const tern = await screen.findByRole('link', { name: /Tern/ });
    expect(tern).toHaveTextContent('tote · small, large');
    expect(tern).toHaveTextContent('13 in × 14 in finished');
    expect(tern).toHaveTextContent('costs 27.15stall 39.00an hour 32.60');
    expect(tern).not.toHaveTextContent('to look at');
    expect(screen.getByRole('link', { name: /Wren/ })).toHaveTextContent('2 to look at');
    expect(screen.queryByRole('button', { name: 'Next' })).toBeNull();
  });

  it('asks the server for what is searched, and leafs through many', async () => {
    const sent = server({ '/api/designs': { items: [line(1, 'Tern')], page: 0, size: 24, total: 200 } });
    rendered(<DesignsPage />);
    expect(await screen.findByText('1 to 24 of 200')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(await screen.findByText('25 to 48 of 200')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Find a design'), 'sail bag');
    await vi.waitFor(() => expect(sent.at(-1)?.path).toContain('page=0&search=sail%20bag'));
  });
});

describe('another size', () => {
  it('is copied with what was typed, and taken into the design', async () => {
    const start = design({
      measurements: [
        { symbol: 'height', label: 'Height', kind: 'FINISHED', values: ['10 cm', '12 cm'], options: [] },
        { symbol: 'seam', label: 'Seam', kind: 'ALLOWANCE', values: ['1 cm'], options: [] },
      ],
    });
    const sent = server({ '/api/designs/with-size': { ...start, sizes: ['small', 'medium', 'tall'] } });
    const onSize = vi.fn();
    const { current } = editor(<DesignDrawing size="medium" onSize={onSize} onOpen={vi.fn()} />, start);
    await userEvent.click(screen.getByRole('button', { name: '+ size' }));
    expect(screen.queryByLabelText('Seam')).toBeNull();
    await userEvent.type(screen.getByLabelText('Name of the new size'), 'tall');
    await userEvent.type(screen.getByLabelText('Height'), '+ 2 cm');
    await userEvent.click(screen.getByRole('button', { name: 'Add the size' }));
    await vi.waitFor(() => expect(onSize).toHaveBeenCalledWith('tall'));
    expect(current.document.sizes).toEqual(['small', 'medium', 'tall']);
    expect(sent[0]?.body).toMatchObject({
      copyOf: 1,
      name: 'tall',
      changes: [{ symbol: 'height', change: '+ 2 cm' }],
    });
  });
});

describe('what a design is', () => {
  it('asks for designer, number and credit only of somebody else’s pattern', async () => {
    const { current } = editor(<AboutTab />, design());
    expect(screen.queryByLabelText('Designer')).toBeNull();
    await userEvent.selectOptions(
      screen.getByLabelText('Whose design'),
      'somebody’s pattern, so many may be sold',
    );
    await userEvent.type(screen.getByLabelText('How many may be sold'), '50');
    await userEvent.type(screen.getByLabelText('Credit line for the label'), 'By Ada');
    expect(current.document.source).toMatchObject({ licence: 'SO_MANY', most: 50, credit: 'By Ada' });
  });

  it('keeps the cloth it asks for, and others that serve', async () => {
    const { current } = editor(
      <AboutTab />,
      design({ slots: [{ key: 'outer', label: 'Outer cloth', kind: 'CLOTH', cloths: ['CANVAS'] }] }),
    );
    await userEvent.selectOptions(screen.getByLabelText('Another cloth for Outer cloth'), 'cork');
    expect(current.document.slots[0]?.cloths).toEqual(['CANVAS', 'CORK']);
    await userEvent.selectOptions(screen.getByLabelText('Usual cloth'), 'cork');
    expect(current.document.slots[0]?.cloths).toEqual(['CORK', 'CANVAS']);
    await userEvent.click(screen.getByRole('button', { name: 'or canvas ×' }));
    expect(current.document.slots[0]?.cloths).toEqual(['CORK']);
  });

  it('says where a number of units can’t be, and keeps the last one that can', async () => {
    const { current } = editor(<AboutTab />, design());
    const units = screen.getByLabelText('Usually made at a time');
    await userEvent.clear(units);
    await userEvent.type(units, '9000');
    expect(units).toBeInvalid();
    expect(current.document.usualUnits).toBe(900);
  });
});

describe('the pieces of several sizes', () => {
  it('are nested in one drawing, each with a line of its own', async () => {
    const start = design({ sizes: ['small', 'large'] });
    editor(<DesignDrawing size="small" onSize={vi.fn()} onOpen={vi.fn()} />, start, { pieces: [piece('A')] });
    await userEvent.click(screen.getByRole('button', { name: 'All sizes' }));
    expect(screen.getByRole('img', { name: /^A: small .+, large / })).toBeVisible();
    expect(screen.getByRole('list', { name: 'Lines of the sizes' })).toHaveTextContent('smalllarge');
    await userEvent.click(screen.getByRole('button', { name: 'One size' }));
    expect(screen.queryByRole('list', { name: 'Lines of the sizes' })).toBeNull();
  });
});
