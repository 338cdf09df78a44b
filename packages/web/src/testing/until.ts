const STEP_MS = 5;
const MOST_MS = 20_000;

/**
 * Waits until something holds, so that a test neither hurries a slow machine nor idles on a quick one.
 *
 * @param holds - what is waited for
 * @throws Error when it has not come after twenty seconds
 */
export async function until(holds: () => boolean): Promise<void> {
  for (let waited = 0; !holds(); waited += STEP_MS) {
    if (waited > MOST_MS) throw new Error(`never came about: ${holds.toString()}`);
    await new Promise((resolve) => setTimeout(resolve, STEP_MS));
  }
}
