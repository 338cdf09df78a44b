import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { attempt } from '@trug/core/base/errors/attempt';
import { caution } from '@trug/core/base/cautions/catalogue';
import { doseText, substanceName, type TrialledPayload } from '@trug/core/book/kinds/trialled';
import { blindSession, pouredL, saidOf } from '@trug/core/finish/trial/blind-session';
import { dosesText, readDoses, USUAL_DOSES } from '@trug/core/finish/trial/read-doses';
import { trialDoses, trialMassG } from '@trug/core/finish/trial/trial-doses';
import { doseUnitOf, isPoured, TRIAL_KINDS, TRIAL_WAYS, type TrialKind } from '@trug/core/finish/trial/trial-substance';
import { SWEETENERS } from '@trug/core/finish/sweeten/sweeten-for';
import { newSeed } from '../../browser/new-seed';
import { ActHead } from '../../shared/act-head/act-head';
import { CautionList } from '../../shared/caution/caution-list';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { ToggleField } from '../../shared/field/toggle-field';
import { keptOf, namesIn, pressedOf, WAY_NAMES } from '../../shared/blind/blind-draft';
import { BlindTasting } from '../../shared/blind/blind-tasting';
import { BlindTold } from '../../shared/blind/blind-told';
import { Refusal } from '../../shared/refusal/refusal';
import { Working } from '../../shared/working/working';
import { selectBatchViews } from '../../state/batch-views.selectors';
import { injectBatchView } from '../../state/batch-of-page';
import { SaidPipe } from '../../units/said.pipe';
import { Units } from '../../units/units';
import { batchDraftKey, createBatchDraft, leaveDraft } from '../../writing/draft';
import { type Act, LogWriter } from '../../writing/log-writer';
import { intoGlass } from './into-glass';

const FIELDS = {
  ...{ stage: 'set', kind: 'sweetener', which: '', doses: '', glass: '', way: 'rank', names: '' },
  ...{ seed: '', pressed: '', chosen: '', text: '' },
};
const KIND_NAMES: Readonly<Record<TrialKind, string>> = {
  sweetener: 'sweetness',
  acid: 'acid',
  tannin: 'tannin',
  sulfite: 'sulfite',
  water: 'water',
  cider: 'another cider',
};
const ACIDS = ['malic', 'tartaric', 'citric', 'lactic'] as const;
const USUAL_GLASS_ML = 80;

/** A bench trial: glasses of the drink with so much more of something, judged blind by whoever is there, and what it takes for the batch. */
@Component({
  selector: 'trug-trial-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ActHead,
    CautionList,
    QuantityField,
    ReactiveFormsModule,
    Refusal,
    RouterLink,
    SaidPipe,
    SelectField,
    TextField,
    ToggleField,
    BlindTasting,
    BlindTold,
    Working,
  ],
  templateUrl: './trial-page.html',
  styleUrl: './trial-page.scss',
})
export class TrialPage {
  private readonly writer = inject(LogWriter);
  private readonly router = inject(Router);
  protected readonly units = inject(Units);
  private readonly views = inject(Store).selectSignal(selectBatchViews);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('trial', FIELDS);
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly refusal = signal<string | null>(null);
  protected readonly kinds = TRIAL_KINDS.map((id) => ({ id, name: KIND_NAMES[id] }));
  protected readonly ways = TRIAL_WAYS.map((id) => ({ id, name: WAY_NAMES[id] }));
  protected readonly kind = computed(() => TRIAL_KINDS.find((k) => k === this.fields().kind) ?? 'sweetener');
  protected readonly way = computed(() => TRIAL_WAYS.find((w) => w === this.fields().way) ?? 'rank');
  /** What of a kind can be varied; nothing to choose of tannin and water. */
  protected readonly which = computed(() => {
    switch (this.kind()) {
      case 'sweetener':
        return SWEETENERS.map(({ id, name }) => ({ id, name: this.units.say(name) }));
      case 'acid':
        return ACIDS.map((id) => ({ id, name: `${id} acid` }));
      case 'cider':
        return this.views()
          .filter(({ batch, state }) => batch.id !== this.id() && state.liquid !== null && state.pitchedAt !== null)
          .map(({ batch }) => ({ id: batch.id, name: batch.name }));
      default:
        return [];
    }
  });
  protected readonly substance = computed((): TrialledPayload['substance'] => {
    const choices = this.which();
    const chosen = choices.find(({ id }) => id === this.fields().which) ?? choices[0];
    const kind = this.kind();
    return {
      kind,
      id: chosen?.id ?? '',
      name: kind === 'cider' ? (chosen?.name ?? '') : kind === 'sweetener' || kind === 'acid' ? '' : kind === 'sulfite' ? 'potassium metabisulfite' : kind,
    };
  });
  /** Beside the doses, what they are told in. */
  protected readonly dosesLabel = computed(() => {
    const { unit } = doseUnitOf({ kind: this.kind() });
    const what = { '%': 'Of it in each glass, %', 'g/L': 'More of it in each glass, g/L', 'mg/L': 'More sulfur dioxide in each glass, mg/L' };
    return what[unit];
  });
  protected readonly usualDoses = computed(() => dosesText(this.substance(), USUAL_DOSES[this.kind()]));
  private readonly doses = computed(() =>
    this.fields().doses.trim() === '' ? attempt(() => USUAL_DOSES[this.kind()]) : attempt(() => readDoses(this.fields().doses, this.substance())),
  );
  protected readonly glassMl = computed(() => 1000 * (numberIn(readQuantity(this.units, this.fields().glass, 'volume')) ?? USUAL_GLASS_ML / 1000));
  protected readonly names = computed(() => namesIn(this.fields().names));
  private readonly worked = computed(() => {
    const [liquid, doses, substance] = [this.view()?.state.liquid, this.doses(), this.substance()];
    if (!liquid || !doses.ok || (this.kind() === 'cider' && substance.id === '')) return null;
    return attempt(() => trialDoses({ liquid, substance, doses: doses.value, glassMl: this.glassMl() }));
  });
  protected readonly plan = computed(() => {
    const worked = this.worked();
    return worked?.ok === true ? worked.value : null;
  });
  protected readonly why = computed(() => {
    const [doses, worked] = [this.doses(), this.worked()];
    if (!doses.ok) return `${doses.error.message}.`;
    if (this.kind() === 'cider' && this.which().length === 0) return 'No other cider stands in a vessel.';
    if (this.way() === 'triangle' && doses.value.length !== 2) return 'To find the odd one there are two doses, not more.';
    return worked?.ok === false ? `${this.units.say(worked.error.message)}.` : null;
  });
  protected readonly name = computed(() => this.units.say(substanceName(this.substance())));
  protected readonly words = computed(() => {
    const plan = this.plan()?.value;
    return (plan?.glasses ?? []).map(({ dose }) => doseText(this.substance(), dose));
  });
  protected readonly amounts = computed(() => {
    const plan = this.plan()?.value;
    return plan ? plan.glasses.map((_glass, i) => intoGlass(plan, i, this.units)) : [];
  });
  protected readonly tooClose = computed(() =>
    (this.plan()?.value.tooClose ?? []).map((pair) => pair.map((dose) => doseText(this.substance(), dose)).join(' and ')).join('; '),
  );
  protected readonly cautions = computed(() => {
    const { kind, id } = this.substance();
    return kind === 'sweetener' && id === 'xylitol' ? [caution('xylitol')] : kind === 'sulfite' ? [caution('sulfite')] : [];
  });
  protected readonly session = computed(() => {
    const { seed } = this.fields();
    const glasses = this.plan()?.value.glasses.length ?? 0;
    return seed === '' || glasses === 0 ? null : blindSession({ way: this.way(), drinks: glasses, tasters: this.names().length, seed: Number(seed) });
  });
  protected readonly pressed = computed(() => pressedOf(this.fields().pressed));
  protected readonly said = computed(() => {
    const session = this.session();
    return session ? saidOf(session, this.pressed(), this.way()) : [];
  });
  private readonly payload = computed((): TrialledPayload | null => {
    const plan = this.plan()?.value;
    const judged = this.names().map((name, i) => ({ name, said: this.said()[i] ?? [] }));
    if (!plan || judged.length === 0) return null;
    const { chosen, text } = this.fields();
    return {
      substance: this.substance(),
      doses: plan.glasses.map(({ dose }) => dose),
      glassMl: this.glassMl(),
      way: this.way(),
      judged,
      chosen: chosen === '' ? null : Number(chosen),
      text: text.trim(),
    };
  });
  protected readonly decisions = computed(() => this.words().map((name, i) => ({ id: String(i), name })));
  protected readonly told = computed(() => (this.fields().stage === 'told' ? this.payload() : null));
  /** What the batch takes for the glass that was decided for. */
  protected readonly forBatch = computed(() => {
    const [standing, told] = [this.view()?.state.liquid, this.told()];
    const liquid = standing ? { ...standing, volumeL: standing.volumeL - this.tastedL() } : null;
    const dose = told?.chosen === null ? 0 : (told?.doses[told.chosen] ?? 0);
    if (!liquid || !told || dose === 0) return null;
    const amount = trialMassG({ liquid, substance: told.substance, dose });
    const isLitres = isPoured(told.substance);
    return { amount, isLitres, text: isLitres ? this.units.volume(amount) : this.units.mass(amount), volume: this.units.volume(liquid.volumeL) };
  });
  /** What went into the glasses, to the millilitre. */
  private readonly tastedL = computed(() => {
    const standingL = this.view()?.state.liquid?.volumeL ?? 0;
    const session = this.session();
    const glasses = this.plan()?.value.glasses ?? [];
    const poured = session ? glasses.reduce((sum, _glass, drink) => sum + pouredL(session, drink, this.glassMl()), 0) : 0;
    return Math.min(standingL, Math.round(poured * 1000) / 1000);
  });

  protected begin(): void {
    const wrong = this.draft.wrong() ?? this.why();
    if (wrong !== null || !this.plan() || this.names().length === 0) {
      this.refusal.set(wrong ?? 'Say who tastes: a name is enough.');
      return;
    }
    this.refusal.set(null);
    this.draft.fields.update((now) => ({ ...now, stage: 'pour', seed: String(newSeed()), pressed: '', chosen: '' }));
  }

  /** A taster pressed a glass, or took the last press back. */
  protected press(pressed: readonly (readonly number[])[]): void {
    this.draft.set('pressed', keptOf(pressed));
  }

  protected go(stage: string): void {
    this.draft.set('stage', stage);
  }

  protected async file(): Promise<void> {
    const [view, payload, scaled] = [this.view(), this.told(), this.forBatch()];
    if (!view || !payload) return;
    const drunk: readonly Act[] = this.tastedL() > 0 ? [{ kind: 'discarded', payload: { volumeL: this.tastedL(), why: 'drunk at a trial' } }] : [];
    const refused = await this.writer.write(view, [{ kind: 'trialled', payload }, ...drunk], 'The trial is written down.', this.draft);
    this.refusal.set(refused);
    if (refused === null && scaled !== null) await this.dose(view.batch.id, payload, scaled.amount);
  }

  /** Opens the page on which the decision is put in, with its amount in the form. */
  private async dose(batchId: string, { substance: { kind, id } }: TrialledPayload, amount: number): Promise<void> {
    const mass = `${amount.toPrecision(3)} g`;
    if (kind === 'sweetener') leaveDraft(batchDraftKey('sweeten', batchId), { sweetener: id, mass });
    else if (kind === 'acid') leaveDraft(batchDraftKey('adjust', batchId), { what: 'acid', acid: id, given: mass });
    else if (kind === 'sulfite') leaveDraft(batchDraftKey('adjust', batchId), { what: 'sulfite', form: 'potassium-metabisulfite', given: mass });
    else if (kind === 'tannin') leaveDraft(batchDraftKey('adjust', batchId), { what: 'tannin', given: mass });
    else return;
    await this.router.navigate(['/batch', batchId, kind === 'sweetener' ? 'sweeten' : 'adjust']);
  }
}
