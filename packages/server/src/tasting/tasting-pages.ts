import type { TastingRound } from './tasting-round.js';

const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
const plain = (text: string): string => text.replace(/[&<>"']/g, (sign) => SIGNS[sign] ?? sign);
const PLACES = ['best', 'second', 'third', 'fourth'];

/** As the rest of Trug looks, without anything that has to be fetched: whatever phone a guest has shows it. */
const STYLE = `
body { margin: 0 auto; max-width: 30rem; padding: 1.5rem 1.25rem; background: #faf6ec; color: #2b2a26; font: 1.0625rem/1.5 system-ui, sans-serif; }
h1 { font-size: 1.5rem; margin: 0 0 .5rem; }
ul { list-style: none; margin: 1rem 0; padding: 0; display: grid; gap: .75rem; }
.glasses { grid-template-columns: repeat(auto-fit, minmax(6rem, 1fr)); }
a, button { display: block; box-sizing: border-box; width: 100%; min-height: 3rem; padding: .75rem; border: 1px solid #c9bfa5; border-radius: 6px; background: #fffdf8; color: inherit; font: inherit; text-align: center; text-decoration: none; }
.glasses button { min-height: 6rem; }
.glasses b { display: block; font-size: 1.75rem; }
button:disabled { background: #e7efdc; }
.quiet { color: #6a6353; }
.back { border: 0; background: none; text-decoration: underline; }
@media (prefers-color-scheme: dark) { body { background: #221f1a; color: #efe8d8; } a, button { background: #2e2a23; border-color: #5b5344; } button:disabled { background: #38422c; } .quiet { color: #b7ad98; } }
`;

const page = (title: string, body: string): string =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${plain(title)}</title><style>${STYLE}</style></head><body>${body}</body></html>`;

/** Who are you? Those who have judged are told so. */
export function whoPage({ secret, tasters }: TastingRound): string {
  const names = tasters.map(({ name, isDone }, i) =>
    isDone ? `<li class="quiet">${plain(name)} has judged.</li>` : `<li><a href="/${secret}/${i}">${plain(name)}</a></li>`,
  );
  return page('A blind tasting', `<h1>A blind tasting</h1><p>Who are you?</p><ul>${names.join('')}</ul>`);
}

/** The glasses of one taster, and nothing of anybody else’s. */
export function glassesPage({ way, secret }: TastingRound, taster: number, { name, codes, pressed, isDone }: TastingRound['tasters'][number]): string {
  const at = `/${secret}/${taster}`;
  const how =
    way === 'triangle'
      ? 'Two of the three are the same. Taste from left to right, and press the odd one.'
      : 'Taste from left to right, water between them. Then press the best, the next, to the last.';
  const glasses = codes.map((code, i) => {
    const named = pressed.indexOf(i);
    const place = named < 0 ? '&nbsp;' : way === 'triangle' ? 'odd' : (PLACES[named] ?? '');
    return `<li><button name="glass" value="${i}"${named < 0 && !isDone ? '' : ' disabled'} aria-label="Glass ${code}"><b>${code}</b>${place}</button></li>`;
  });
  const back = pressed.length > 0 ? '<button class="back" name="glass" value="back">Take the last press back</button>' : '';
  const done = isDone ? '<p>Thank you. Nobody is told anything until all have judged.</p>' : `<p>${how}</p>`;
  return page(
    `${name} tastes`,
    `<h1>${plain(name)} tastes</h1>${done}<form method="post" action="${at}"><ul class="glasses">${glasses.join('')}</ul>${back}</form>`,
  );
}

/** Whoever comes too late, or guessed. */
export const nothingPage = (): string =>
  page('Nothing here', '<h1>No tasting is on here</h1><p>It may be over, or begun anew: ask whoever pours for its link.</p>');
