import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Problem, VersionedSettings, VesselDto } from '@trug/contract/plain';
import { newId } from '../browser/new-id';
import { Clock } from '../state/clock';
import { ResourceApiActions, ResourcePageActions, type Named } from '../state/resources.actions';
import { resourceById } from '../state/resources.reducer';
import { SettingsApiActions, SettingsPageActions } from '../state/settings.actions';
import { settingsFeature } from '../state/settings.reducer';
import { VesselApiActions, VesselPageActions, type VesselWrite } from '../state/vessels.actions';
import { refusalOfResource } from './check-before-filing';
import { Courier, type Sent } from './courier';
import { Says } from './says';

/** The only way to write what is no log: juices, supplies, places, instruments, recipes, vessels and the maker's choices. It offers to take every write back. */
@Injectable({ providedIn: 'root' })
export class ResourceWriter {
  private readonly store = inject<Store>(Store);
  private readonly courier = inject(Courier);
  private readonly says = inject(Says);
  private readonly clock = inject(Clock);
  private readonly choices = this.store.selectSignal(settingsFeature.selectSettings);

  /**
   * Keeps a juice, a supply, a place, an instrument or a recipe.
   *
   * @param said - what to tell the maker
   * @param says - what the maker said, where the resource says more
   */
  async save(named: Named, said: string, says?: unknown): Promise<Sent<Named>> {
    const refused = await refusalOfResource(named);
    if (refused !== null) return { refused, body: named };
    const { of, resource } = named;
    const isNew = resource.version === 0;
    const key = `${of}:${isNew ? 'new' : resource.id}`;
    const before = isNew ? null : resourceById(this.store, resource.id);
    const sending = { key, body: named, freshIds: isNew ? [resource.id] : [], now: this.clock.now(), says };
    const { answer, body } = await this.courier.send(sending, (sent) => ResourcePageActions.resourceSaved({ sent }), [
      ResourceApiActions.resourceStored.type,
      ResourceApiActions.resourceRefused.type,
    ]);
    if (answer === null) this.says.written(said, () => void this.undoResource(body, before));
    if (answer?.code !== 'conflict' || answer.current === undefined) return { refused: answer?.detail ?? null, body };
    // Another window was quicker, or an earlier try had arrived after all: both are shown, and the maker chooses or joins.
    const joined = await (await this.courier.versions()).ofResource(body, answer.current);
    if (joined === null) return { refused: answer.detail, body };
    this.courier.settle(key);
    return this.save(joined, said);
  }

  /**
   * Takes away what nothing tells of.
   *
   * @param said - what to tell the maker
   * @returns why it stays; null once it is gone
   */
  async remove(named: Named, said: string): Promise<string | null> {
    const answer = await this.takeAway(named);
    if (answer === null) this.says.written(said, () => void this.save(onVersion(named, 0), 'As it was before.'));
    return answer?.detail ?? null;
  }

  /** Puts a vessel in the cupboard, and tells under which id. */
  async addVessel(vessel: VesselDto): Promise<Sent<VesselDto>> {
    const key = 'vessels:new';
    const { answer, body } = await this.sendVessel({ act: 'add', vessel }, key, [vessel.id]);
    if (answer === null) this.says.written(`${vessel.name} is in the cupboard.`, () => void this.undoVessel({ act: 'remove', vessel: body.vessel }));
    if (answer?.code !== 'conflict') return { refused: answer?.detail ?? null, body: body.vessel };
    // An earlier try had arrived, and was changed since: this is another vessel.
    this.courier.settle(key);
    return this.addVessel({ ...vessel, id: newId() });
  }

  /** Puts a vessel right, or away for good. */
  async changeVessel(was: VesselDto, changes: Partial<VesselDto>, said: string): Promise<string | null> {
    const vessel = { ...was, ...changes };
    const { answer } = await this.sendVessel({ act: 'change', vessel, was }, `vessels:${was.id}`, []);
    if (answer) return answer.detail;
    this.says.written(said, () => void this.undoVessel({ act: 'change', vessel: was, was: vessel }));
    return null;
  }

  /** Says that a vessel was cleaned now. */
  async cleanVessel(vessel: VesselDto): Promise<void> {
    const at = this.clock.now();
    const { answer } = await this.sendVessel({ act: 'clean', vessel, at }, `vessels:${vessel.id}`, []);
    if (answer) this.says.refused(answer.detail);
    else this.says.written(`${vessel.name} is clean.`, () => void this.undoVessel({ act: 'unclean', vessel, at }));
  }

  /** Changes some of the maker's choices, which are in force at once. */
  async choose(changes: Partial<VersionedSettings>, said = 'Kept.'): Promise<void> {
    const before = this.choices();
    const sent = { ...before, ...changes };
    const answer = await this.courier.answerTo(SettingsPageActions.settingsChanged({ sent }), sent, [
      SettingsApiActions.settingsStored.type,
      SettingsApiActions.settingsRefused.type,
    ]);
    const fields = Object.keys(changes);
    const was = Object.fromEntries(Object.entries(before).filter(([field]) => fields.includes(field)));
    if (answer) this.says.refused(answer.detail);
    else this.says.written(said, () => void this.choose(was));
  }

  private async undoResource({ resource: { id } }: Named, before: Named | null): Promise<void> {
    const stored = resourceById(this.store, id);
    if (!stored) return;
    if (before !== null) {
      const { refused } = await this.save(onVersion(before, stored.resource.version), 'As it was before.');
      if (refused !== null) this.says.refused(refused);
      return;
    }
    const answer = await this.takeAway(stored);
    if (answer) this.says.refused(answer.detail);
  }

  private takeAway(sent: Named): Promise<Problem | null> {
    return this.courier.answerTo(ResourcePageActions.resourceRemoved({ sent }), sent, [
      ResourceApiActions.resourceGone.type,
      ResourceApiActions.resourceRefused.type,
    ]);
  }

  private async undoVessel(sent: VesselWrite): Promise<void> {
    const { answer } = await this.sendVessel(sent, `vessels:${sent.vessel.id}`, []);
    if (answer) this.says.refused(answer.detail);
  }

  private sendVessel(write: VesselWrite, key: string, freshIds: readonly string[]): Promise<{ readonly answer: Problem | null; readonly body: VesselWrite }> {
    return this.courier.send({ key, body: write, freshIds, now: this.clock.now(), aside: true }, (sent) => VesselPageActions.vesselSent({ sent }), [
      VesselApiActions.vesselStored.type,
      VesselApiActions.vesselGone.type,
      VesselApiActions.vesselRefused.type,
    ]);
  }
}

/** The same resource, to be stored on top of another version of it. */
const onVersion = (named: Named, version: number): Named => ({ of: named.of, resource: Object.assign({}, named.resource, { version }) }) as Named;
