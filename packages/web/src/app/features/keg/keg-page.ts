import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { KegWayId } from '@trug/core';
import { caution } from '@trug/core/base/cautions/catalogue';
import { attempt } from '@trug/core/base/errors/attempt';
import { STATUS_WORDS } from '@trug/core/ferment/verdict/verdict';
import { FIZZ_LEVELS } from '@trug/core/finish/bottle/fizz-levels';
import { USUAL_LOSS_L } from '@trug/core/finish/bottle/plan-bottles';
import { KEG_WAYS } from '@trug/core/finish/bottle/keg-ways';
import { COLD_KEG_MOST_C } from '@trug/core/book/kinds/kegged';
import { kegPlan } from '@trug/core/book/plan/keg-plan';
import { warmestSinceEnd } from '@trug/core/book/state/sealed-gas-of';
import { maySeal } from '@trug/core/book/state/sealing';
import { dayText } from '@trug/core/matter/quantity/days';
import { ActHead } from '../../shared/act-head/act-head';
import { AddVessel } from '../../shared/add-vessel/add-vessel';
import { CautionList, unacknowledged } from '../../shared/caution/caution-list';
import { ChoiceField } from '../../shared/field/choice-field';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { Refusal } from '../../shared/refusal/refusal';
import { vesselChoices } from '../../shared/vessel/vessel-choices';
import { drinkLook } from '../../shared/vessel/drink-look';
import { Vessel } from '../../shared/vessel/vessel';
import { Working } from '../../shared/working/working';
import { injectBatchView } from '../../state/batch-of-page';
import { vesselsFeature } from '../../state/vessels.reducer';
import { selectFreeVessels } from '../../state/free-vessels';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { LogWriter } from '../../writing/log-writer';

/** Refrigerator cold, where even a drink that is not proven may stand in a keg, °C. */
const USUAL_STORE_C = COLD_KEG_MOST_C - 1;
/** Less over than this is what clings to the hose, L. */
const LEAST_OVER_L = 0.1;
const LEVELS = FIZZ_LEVELS.map(({ id, name, volumes, like }) => ({ id, name: `${name}, ${volumes} vol`, note: like }));

/** Into the keg: how much goes in, what the regulator is set to, and how the gas gets in. */
@Component({
  selector: 'trug-keg-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, ActHead, AddVessel, CautionList, ChoiceField, NumberField, QuantityField, SelectField, Refusal, Vessel, Working],
  templateUrl: './keg-page.html',
  styleUrl: './keg-page.scss',
})
export class KegPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  private readonly store = inject(Store);
  private readonly free = this.store.selectSignal(selectFreeVessels);
  private readonly vessels = this.store.selectSignal(vesselsFeature.selectAll);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('keg', { keg: '', fizz: 'lively', store: '', loss: '', altitude: '', way: 'slow' });
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly levels = LEVELS;
  protected readonly usualStoreC = USUAL_STORE_C;
  /** The opened keg it stands in, which can be closed again. */
  private readonly own = computed(() => {
    const standsIn = new Set(this.view()?.state.vessels.map((fill) => fill.vesselId));
    return this.vessels().filter((v) => v.kind === 'keg' && standsIn.has(v.id)).map((v) => ({ ...v, clean: true })); // prettier-ignore
  });
  protected readonly kegs = computed(() => [...this.own(), ...this.free().filter((v) => v.kind === 'keg')]);
  protected readonly kegChoices = computed(() => vesselChoices(this.units, this.kegs()));
  /** The one chosen; until one is, a clean one. */
  protected readonly keg = computed(() => {
    const kegs = this.kegs();
    return kegs.find((v) => v.id === this.draft.fields().keg) ?? kegs.find((v) => v.clean) ?? kegs[0] ?? null;
  });
  /** Where it stays in its keg nothing is left behind. */
  protected readonly usualLossL = computed(() => {
    const stays = this.own().some((v) => v.id === this.keg()?.id);
    return stays ? 0 : Math.min(USUAL_LOSS_L, (this.view()?.state.liquid?.volumeL ?? 0) / 20);
  });
  private readonly proven = computed(() => {
    const view = this.view();
    return view ? maySeal(view.state, view.verdict?.value ?? null) : false;
  });
  protected readonly says = computed(() => {
    const status = this.view()?.verdict?.value.status;
    if (status === undefined || this.proven()) return 'Gassed to the level you like, and drawn by the glass.';
    return this.units.say(`Its end is not proven (${STATUS_WORDS[status]}): only at ${COLD_KEG_MOST_C} °C or colder, and let off each week.`);
  });
  private readonly way = computed((): KegWayId => KEG_WAYS.find((w) => w.id === this.draft.fields().way)?.id ?? 'slow');
  private readonly storeC = computed(() => numberIn(readQuantity(this.units, this.draft.fields().store, 'temperature')) ?? USUAL_STORE_C);
  private readonly outcome = computed(() => {
    const state = this.view()?.state;
    const keg = this.keg();
    if (!state?.liquid || !keg) return null;
    const { liquid } = state;
    const { fizz, loss, altitude } = this.draft.fields();
    const lossL = numberIn(readQuantity(this.units, loss, 'volume')) ?? this.usualLossL();
    const targetVolumes = FIZZ_LEVELS.find((level) => level.id === fizz)?.volumes ?? 0;
    const altitudeM = numberOf(altitude, 'altitudeM') ?? 0;
    return attempt(() => {
      const plan = kegPlan({
        liquid,
        capacityL: keg.capacityL,
        lossL,
        targetVolumes,
        storeC: this.storeC(),
        altitudeM,
        warmestC: warmestSinceEnd(state),
        heldVolumes: state.heldVolumes?.volumes,
        way: this.way(),
        today: this.writer.now(),
        zone: state.zone,
      });
      return { plan, lossL, targetVolumes };
    });
  });
  protected readonly plan = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok === true ? outcome.value.plan : null;
  });
  protected readonly ways = computed(() => {
    const bar = this.plan()?.value.regulatorBar;
    return KEG_WAYS.map(({ id, name, how }) => ({ id, name, note: bar === undefined ? '' : how(bar, (value) => this.units.pressure(value)) }));
  });
  protected readonly missing = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok === false ? this.units.say(`${outcome.error.message}.`) : 'No keg is free. Add one, or empty one first.';
  });
  protected readonly ready = computed(() => dayText(this.plan()?.value.readyOn ?? this.writer.now(), true));
  protected readonly over = computed(() => {
    const overL = this.plan()?.value.overL ?? 0;
    return overL < LEAST_OVER_L ? null : `${this.units.volumeAbout(overL)} find no room: bottle or drink them first, or they are lost.`;
  });
  protected readonly look = computed(() => {
    const view = this.view();
    return view ? drinkLook(view.state, view.verdict?.value ?? null, view.now) : { fruit: 'apple' as const, haze: 0, sedimentMm: 0, working: false };
  });
  protected readonly cautions = computed(() => [...(this.proven() ? [] : [caution('sealed-ferment')]), caution('keg')]);

  protected async file(): Promise<void> {
    const view = this.view();
    const keg = this.keg();
    const outcome = this.outcome();
    const wrong = this.draft.wrong();
    if (!view || !keg || outcome?.ok !== true || wrong !== null) {
      this.refusal.set(wrong ?? this.missing());
      return;
    }
    const danger = unacknowledged(this.cautions(), this.typed());
    if (danger !== null) {
      this.refusal.set(danger);
      return;
    }
    const { plan, lossL, targetVolumes } = outcome.value;
    const payload = {
      vessel: { vesselId: keg.id, volumeL: plan.value.fillL },
      lossL: lossL + plan.value.overL,
      targetVolumes,
      storeC: this.storeC(),
      way: this.way(),
      acknowledged: this.cautions().flatMap((c) => (c.severity === 'danger' ? [c.id] : [])),
    };
    this.refusal.set(await this.writer.write(view, [{ kind: 'kegged', payload }], 'Kegged.', this.draft));
  }
}
