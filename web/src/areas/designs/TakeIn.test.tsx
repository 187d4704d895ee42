import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { rendered } from '../../ui/rendered.test.helper';
import { TakeIn } from './TakeIn';

const file = new File(['{"kind":"mardun design"}'], 'owl.json', { type: 'application/json' });

/** Answers one after the other; remembers the addresses. */
function answering(...answers: { status: number; body: unknown }[]) {
  const asked: string[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string) => {
      asked.push(path);
      const answer = answers[Math.min(asked.length, answers.length) - 1];
      return new Response(JSON.stringify(answer?.body), {
        status: answer?.status,
        headers: { 'Content-Type': 'application/json' },
      });
    }),
  );
  return asked;
}

const TAKEN = {
  status: 201,
  body: { designs: [{ id: 7, name: 'Owl pouch' }], unmatched: ['Owl pouch, Outer cloth: Moss canvas'] },
};

const CLASH = {
  status: 422,
  body: {
    detail: 'taken',
    errors: [{ field: 'name', read: 'Owl pouch', sentence: 'There is a design called “Owl pouch” already.' }],
  },
};

afterEach(() => vi.unstubAllGlobals());

describe('a design from a file', () => {
  it('is taken in, and says what isn’t on the shelf', async () => {
    answering(TAKEN);
    rendered(<TakeIn />);
    await userEvent.upload(screen.getByLabelText('Import a file'), file);
    expect(await screen.findByRole('link', { name: 'Owl pouch' })).toHaveAttribute('href', '/designs/7');
    expect(screen.getByText('Owl pouch, Outer cloth: Moss canvas')).toBeVisible();
  });

  it('asks for another name where its own is taken, and keeps what is typed', async () => {
    const asked = answering(CLASH, TAKEN);
    rendered(<TakeIn />);
    await userEvent.upload(screen.getByLabelText('Import a file'), file);
    const name = await screen.findByLabelText(/What is it called here/);
    expect(screen.getByText('There is a design called “Owl pouch” already.')).toBeVisible();
    await userEvent.type(name, 'Owl pouch {{ç}');
    await userEvent.click(screen.getByRole('button', { name: 'Import it' }));
    expect(await screen.findByText('Imported')).toBeVisible();
    expect(asked.at(-1)).toContain(`name=${encodeURIComponent('Owl pouch {ç}')}`);
  });

  it('says what is wrong with a file', async () => {
    answering({
      status: 422,
      body: { detail: 'At design.pieces[1].role: there is none. Nothing was taken in.' },
    });
    rendered(<TakeIn />);
    await userEvent.upload(screen.getByLabelText('Import a file'), file);
    expect(await screen.findByText(/At design.pieces\[1\].role/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Import it' })).toBeNull();
  });
});
