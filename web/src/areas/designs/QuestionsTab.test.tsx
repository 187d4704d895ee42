import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, length, lengthFigure, working } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { editor, server } from './editing.test.helper';
import QuestionsTab from './QuestionsTab';
import RulesPanel from './RulesPanel';

afterEach(() => vi.unstubAllGlobals());

const region = (name: string) => within(screen.getByRole('region', { name }));

describe('questions about a design', () => {
  it('tell what is too little for a thing', async () => {
    const answer: Schemas['FitAnswer'] = {
      fits: false,
      places: [],
      sentence: 'It doesn’t go in.',
      comparisons: [
        { label: 'width', needed: lengthFigure('9 in', ''), there: lengthFigure('8 in', ''), fits: false },
        { label: 'height', needed: lengthFigure('5 in', ''), there: lengthFigure('6 in', ''), fits: true },
      ],
    };
    const sent = server({ '/api/designs/fit': answer });
    editor(<QuestionsTab />, design());
    await userEvent.type(screen.getByLabelText('Its width'), '9');
    await userEvent.click(screen.getByRole('button', { name: 'Ask' }));
    expect(await screen.findByText('It doesn’t go in.')).toBeVisible();
    const rows = region('Does it go in?').getAllByRole('row');
    expect(rows[1]).toHaveTextContent('width · too little9 in8 in');
    expect(rows[2]).not.toHaveTextContent('too little');
    expect(sent[0]?.body).toMatchObject({ size: 'small', width: '9', depth: '' });
  });

  it('name what explains a bag that came out different, and what would explain it as well', async () => {
    const size = { width: length('7 in', ''), height: length('6 in', ''), depth: length('3 in', '') };
    const answer: Schemas['DiagnosisAnswer'] = {
      asPlanned: false,
      sentence: 'This would make such a bag.',
      planned: size,
      explanations: [
        {
          slips: ['Cut from the stitching.'],
          remedies: ['Measure from the raw edge.'],
          instead: [['The seam was wider.']],
          makes: size,
          misses: length('0 in', ''),
        },
      ],
    };
    server({ '/api/designs/diagnosis': answer });
    editor(<QuestionsTab />, design());
    await userEvent.click(screen.getByRole('button', { name: 'Explain it' }));
    expect(await screen.findByText('Cut from the stitching.')).toBeVisible();
    expect(screen.getByText('or: The seam was wider.')).toBeVisible();
    expect(screen.getByText('Measure from the raw edge.')).toBeVisible();
    expect(screen.getByText('makes 7 × 6 in × 3 in')).toBeVisible();
  });
});

describe('the rules for formulas', () => {
  const rule = (name: string): Schemas['RuleView'] => ({
    name,
    sentence: `${name} says so.`,
    call: `${name}(width)`,
    parameters: [{ symbol: 'width', label: 'finished width', dimension: 'LENGTH' }],
  });
  const constructions: Schemas['ConstructionsView'] = {
    subjects: [
      {
        subject: 'STRAP',
        title: 'Straps',
        ways: [{ school: 'folded in four', cut: rule('strap_four_fold'), wanted: rule('strap_width') }],
      },
      { subject: 'FOB', title: 'Key fobs', ways: [{ school: 'cover', cut: rule('fob_cover') }] },
    ],
    functions: [{ name: 'root', gives: 'the side of a square' }],
  };

  it('are found by what they say, there and back', async () => {
    server({ '/api/constructions': constructions });
    rendered(<RulesPanel onClose={vi.fn()} />);
    expect(await screen.findByText('strap_four_fold(width)')).toBeVisible();
    expect(screen.getByText('strap_width(width)')).toBeVisible();
    expect(screen.getByText('fob_cover(width)')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Find a rule'), 'in four');
    expect(screen.queryByText('fob_cover(width)')).toBeNull();
    await userEvent.type(screen.getByLabelText('Find a rule'), ' hundred');
    expect(screen.getByText('No rule says that.')).toBeVisible();
  });

  it('are tried with values of one’s own', async () => {
    server({
      '/api/constructions': constructions,
      '/api/constructions/worked': {
        length: length('4 in', '≈ 10.2 cm'),
        text: '4 in',
        working: working('4 in'),
        problems: [],
      },
    });
    rendered(<RulesPanel onClose={vi.fn()} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Try strap_four_fold' }));
    await userEvent.type(screen.getByLabelText('finished width'), '1');
    expect(await screen.findByRole('button', { name: /strap_four_fold: 4 in/ })).toHaveTextContent('4 in');
    expect(screen.getByText('· ≈ 10.2 cm')).toBeVisible();
  });
});
