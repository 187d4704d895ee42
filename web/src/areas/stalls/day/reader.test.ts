import { beforeEach, describe, expect, it } from 'vitest';
import { BEHAVIOURS, ReaderSilent, SimulatedReader, type ReaderAnswer } from './reader';

/** A store that a device has of its own. */
function memory() {
  const kept = new Map<string, string>();
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  };
}

let reader: SimulatedReader;
beforeEach(() => {
  reader = new SimulatedReader(memory(), () => Promise.resolve());
});

describe('the simulated card reader', () => {
  it('charges a payment once, however often it is asked for', async () => {
    expect(await reader.pay('a', 1250)).toBe('accepted');
    expect(await reader.pay('a', 1250)).toBe('accepted');
    expect(reader.charges('a')).toBe(1);
  });

  it('knows of a payment whose answer was lost', async () => {
    reader.behave('loses its line');
    await expect(reader.pay('a', 1250)).rejects.toBeInstanceOf(ReaderSilent);
    expect(await reader.lookUp('a')).toBe('accepted');
    expect(reader.charges('a')).toBe(1);
  });

  it('charges nothing when it times out or declines', async () => {
    reader.behave('times out');
    await expect(reader.pay('a', 1250)).rejects.toBeInstanceOf(ReaderSilent);
    expect(await reader.lookUp('a')).toBeUndefined();
    reader.behave('declines');
    expect(await reader.pay('a', 1250)).toBe('declined');
    reader.behave('accepts');
    expect(await reader.pay('a', 1250)).toBe('accepted');
    expect(reader.charges('a')).toBe(1);
  });

  it('remembers after it was switched off', async () => {
    const store = memory();
    await new SimulatedReader(store, () => Promise.resolve()).pay('a', 900);
    expect(await new SimulatedReader(store, () => Promise.resolve()).lookUp('a')).toBe('accepted');
  });

  it('never charges twice and never sells without a charge, whatever happens in between', async () => {
    let seed = 77;
    const next = (most: number) => (seed = (seed * 48271) % 2147483647) % most;
    for (let run = 0; run < 2_000; run++) {
      const id = `p${run}`;
      reader = new SimulatedReader(memory(), () => Promise.resolve());
      let known: ReaderAnswer | undefined;
      for (let step = 0; step < 1 + next(6) && known !== 'accepted'; step++) {
        reader.behave(BEHAVIOURS[next(BEHAVIOURS.length)] ?? 'accepts');
        try {
          // The stall asks again only after it has looked up what became of the time before.
          known = step > 0 ? await reader.lookUp(id) : undefined;
          if (known !== 'accepted') known = await reader.pay(id, 100 + run);
        } catch (failure) {
          expect(failure).toBeInstanceOf(ReaderSilent);
        }
      }
      reader.behave('accepts');
      expect(reader.charges(id)).toBe((await reader.lookUp(id)) === 'accepted' ? 1 : 0);
      if (known === 'accepted') expect(reader.charges(id)).toBe(1);
    }
  });
});
