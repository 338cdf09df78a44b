/** A name no other window has. It is no id of a record, for which every page would load what makes those. */
const newName = (): string => Array.from(crypto.getRandomValues(new Uint32Array(3)), (part) => part.toString(36)).join('');

const KEY = 'trug.window';
/** For a browser that keeps nothing: then a reload makes another window of it. */
let unkept: string | null = null;
let held = false;

function kept(): string | null {
  try {
    return sessionStorage.getItem(KEY);
  } catch {
    return unkept;
  }
}

function keep(name: string): void {
  unkept = name;
  try {
    sessionStorage.setItem(KEY, name);
  } catch {
    return;
  }
}

/** Asks the browser for a lock that lasts as long as this window: by it other windows know that it is open. */
function hold(name: string): void {
  // Some browsers and every test have no locks: then no window is known to be open.
  const locks = 'locks' in navigator ? navigator.locks : null;
  void locks?.request(`trug.window.${name}`, { ifAvailable: true }, (lock) => {
    // A window that was duplicated brought the other's name with it, and takes one of its own.
    if (lock === null) take(newName());
    return new Promise(() => undefined);
  });
}

function take(name: string): void {
  keep(name);
  hold(name);
}

/** The name of this window, which outlives a reload and no more. */
export function windowId(): string {
  const name = kept() ?? unkept ?? newName();
  if (name !== kept()) keep(name);
  if (!held) {
    held = true;
    hold(name);
  }
  return name;
}

/** Names of the windows that are open now; none where the browser cannot tell. */
export async function openWindows(): Promise<ReadonlySet<string>> {
  const locks = 'locks' in navigator ? navigator.locks : null;
  const state = await locks?.query();
  return new Set((state?.held ?? []).map((lock) => (lock.name ?? '').replace('trug.window.', '')));
}
