import type { Action } from '@ngrx/store';
import type { Problem } from '@trug/contract/plain';
import { summarise } from '@trug/core/book/summary/batch-summary';
import { BatchApiActions, BatchPageActions } from '../app/state/batches.actions';
import { ResourceApiActions, ResourcePageActions } from '../app/state/resources.actions';
import { SettingsApiActions, SettingsPageActions } from '../app/state/settings.actions';
import { VesselApiActions, VesselPageActions } from '../app/state/vessels.actions';

/** Whether entries were sent. */
export const isFiling = (action: Action): action is ReturnType<typeof BatchPageActions.filingSent> => action.type === BatchPageActions.filingSent.type;
/** Whether a resource was sent. */
export const isSaving = (action: Action): action is ReturnType<typeof ResourcePageActions.resourceSaved> =>
  action.type === ResourcePageActions.resourceSaved.type;
const isVesselSent = (action: Action): action is ReturnType<typeof VesselPageActions.vesselSent> => action.type === VesselPageActions.vesselSent.type;
const isChoice = (action: Action): action is ReturnType<typeof SettingsPageActions.settingsChanged> => action.type === SettingsPageActions.settingsChanged.type;

/**
 * What the server says to what a page sends: nothing against it unless a test says otherwise.
 *
 * @param action - what was dispatched
 * @param problem - what it has against it
 * @returns the answer; null where nothing was sent
 */
export function serverAnswer(action: Action, problem: Problem | null): Action | null {
  if (isFiling(action)) {
    const { sent } = action;
    const batches = sent.batches.map((b) => {
      const entries = sent.entries.filter((e) => e.batchId === b.id);
      return { ...b, summary: summarise(entries), entries };
    });
    return problem ? BatchApiActions.filingRefused({ sent, problem }) : BatchApiActions.filingStored({ sent, batches });
  }
  if (isSaving(action)) {
    const { sent } = action;
    const resource = Object.assign({}, sent.resource, { version: sent.resource.version + 1 });
    return problem ? ResourceApiActions.resourceRefused({ sent, problem }) : ResourceApiActions.resourceStored({ sent, resource });
  }
  if (isVesselSent(action)) return VesselApiActions.vesselStored({ sent: action.sent, vessel: action.sent.vessel });
  return isChoice(action) ? SettingsApiActions.settingsStored({ sent: action.sent, settings: action.sent }) : null;
}
