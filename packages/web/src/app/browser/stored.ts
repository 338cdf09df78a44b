/**
 * What this browser keeps under a key; null when there is nothing, or it cannot be read: half a draft must never keep a
 * page from opening.
 */
export function readStored(key: string): unknown {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as unknown);
  } catch {
    return null;
  }
}

/** A JSON text's value; null when it is none. */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}

/** Keeps something in this browser. A browser that is full or forbids it keeps nothing, and the page goes on without. */
export function writeStored(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    return;
  }
}

/** Forgets what this browser keeps under a key. */
export function removeStored(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    return;
  }
}

/** The keys under which this browser keeps something, by how they begin. */
export function storedKeys(beginning: string): readonly string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(beginning));
  } catch {
    return [];
  }
}
