import { API_PATHS } from '@trug/contract';
import type { PostReadings } from '../devices/stand-ins.js';

/**
 * Posts readings the way any device would.
 *
 * @param ownUrl - where this Trug listens, known once it does
 * @returns the post; a server that is going down is told as a refusal
 */
export function createReadingsPost(ownUrl: () => string): PostReadings {
  return async (deviceId, readings) => {
    try {
      const response = await fetch(`${ownUrl()}${API_PATHS.devices}/${deviceId}/readings`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', connection: 'close' },
        body: JSON.stringify(readings),
      });
      return { ok: response.ok, limited: response.status === 429, detail: response.ok ? '' : detailOf(await response.json()) };
    } catch (error) {
      return { ok: false, limited: false, detail: error instanceof Error ? error.message : 'no answer' };
    }
  };
}

function detailOf(problem: unknown): string {
  return typeof problem === 'object' && problem !== null && 'detail' in problem ? String(problem.detail) : 'it was refused';
}
