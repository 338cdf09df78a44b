import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { judgeFermentation } from './judge-fermentation.js';

const on = (day: number): string => new Date(Date.UTC(2026, 9, 1, 10) + day * 86_400_000).toISOString();

describe('the evidence of a verdict', () => {
  it('names the trap of sealing what is steady only because it is cold', () => {
    const list = [
      [5, 1.045],
      [24, 1.026],
      [36, 1.026],
    ] as const;
    const { status, evidence } = judgeFermentation({
      readings: list.map(([day, sg]) => ({ id: `r${day}`, at: on(day), sg, tempC: 6 })),
      liquid: liquidFromReadings({ volumeL: 20, sg: 1.055 }),
      yeast: yeastById('crisp-cider'),
      temps: [{ at: on(0), tempC: 6 }],
      today: on(36),
      entries: [{ at: on(0), kind: 'pitched' }],
    }).value;
    expect(status).toBe('too-cold');
    expect(evidence.find((e) => e.speaks === 'against')?.text).toMatch(/wakes when the bottles warm, and bursts them/);
  });

  it('says of a stuck perry that more sorbitol than usual looks just like it, and of a stuck cider nothing of the kind', () => {
    const list = [
      [6, 1.047],
      [14, 1.032],
      [25, 1.021],
      [40, 1.014],
      [54, 1.014],
    ] as const;
    const judged = (fruit: 'apple' | 'pear'): { readonly status: string; readonly texts: readonly string[] } => {
      const { status, evidence } = judgeFermentation({
        readings: list.map(([day, sg]) => ({ id: `r${day}`, at: on(day), sg, tempC: 17 })),
        liquid: liquidFromReadings({ volumeL: 20, sg: 1.059, fruit }),
        yeast: yeastById('crisp-cider'),
        temps: [{ at: on(0), tempC: 17 }],
        today: on(54),
        entries: [{ at: on(0), kind: 'pitched' }],
      }).value;
      return { status, texts: evidence.map((e) => e.text).filter((text) => text.includes('sorbitol')) };
    };
    expect(judged('pear')).toEqual({ status: 'stalled', texts: [expect.stringContaining('more of it than usual would look just like this')] });
    expect(judged('apple')).toEqual({ status: 'stalled', texts: [] });
  });
});
