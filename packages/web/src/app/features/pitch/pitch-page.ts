import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { Word } from '../../shared/word/word';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import type { Need, PitchMethod, TimedPlan } from '@trug/core';
import { USUAL_YEAST_ID, WILD_YEAST_ID, yeastById } from '@trug/core/base/reference/yeast-kinds';
import { yeastWords } from '@trug/core/base/reference/yeast-words';
import { YEAST_KINDS } from '@trug/core/base/reference/yeast-kinds-data';
import { inOrderOfUse } from '@trug/core/book/cupboard/supply-for';
import { oldPacket } from '@trug/core/ferment/yeast/old-packet';
import { pitchCautions } from '@trug/core/ferment/yeast/pitch-cautions';
import { LIMITS } from '@trug/core/base/errors/limits';
import { pitchRate, USUAL_MUST_C } from '@trug/core/ferment/yeast/pitch-rate';
import { WHERE_IT_STANDS } from '@trug/core/book/kinds/moved';
import { pitchSteps, type PitchWay } from '@trug/core/ferment/yeast/pitch-steps';
import { rankYeasts, YEAST_AIMS, type YeastAim } from '@trug/core/ferment/yeast/rank-yeasts';
import { yeastTogether } from '@trug/core/ferment/yeast/yeast-together';
import { Store } from '@ngrx/store';
import { levelSpoonsText } from '@trug/core/matter/quantity/level-spoons';
import { ActHead } from '../../shared/act-head/act-head';
import { selectSuppliesLeft } from '../../state/supplies.selectors';
import type { BatchView } from '../../state/batch-views.selectors';
import { injectBatchView } from '../../state/batch-of-page';
import { CautionList, unacknowledged } from '../../shared/caution/caution-list';
import { createBatchDraft, PITCH_DRAFT } from '../../writing/draft';
import { numberIn, QuantityField, readQuantity } from '../../shared/field/quantity-field';
import type { ReadingHints } from '../../units/typed-quantity';
import { Units } from '../../units/units';
import { NextTimeNotes } from '../../shared/next-time/next-time';
import { OwnYeastForm } from '../../shared/own-yeast/own-yeast';
import { SupplyTake } from '../../shared/supply-take/supply-take';
import { TimedSteps } from '../../shared/timed-steps/timed-steps';
import { Icon } from '../../shared/icon/icon';
import { Working } from '../../shared/working/working';
import { WarmthNote } from './warmth-note';
import { SaidPipe } from '../../units/said.pipe';
import { injectWeightsOf } from '../../shared/kitchen';
import { USUAL_PACKET_G } from '@trug/core/book/cupboard/kitchen-weights';
import { type Act, LogWriter } from '../../writing/log-writer';
import { SelectField } from '../../shared/field/select-field';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { Refusal } from '../../shared/refusal/refusal';

const AIMS: readonly { readonly id: YeastAim; readonly name: string }[] = [
  { id: 'clean', name: 'clean and dry' },
  { id: 'fruity', name: 'fruity' },
  { id: 'soft', name: 'soft, rounded' },
  { id: 'strong', name: 'strong' },
  { id: 'wild', name: 'wild and complex' },
];
type Way = { readonly id: PitchWay; readonly name: string };
const BOUGHT_WAYS: readonly Way[] = [
  { id: 'sprinkled', name: 'sprinkled' },
  { id: 'rehydrated', name: 'rehydrated' },
  { id: 'starter', name: 'from a starter' },
];
const WILD_WAYS: readonly Way[] = [
  { id: 'left', name: 'nothing: it is left to itself' },
  { id: 'wild', name: 'a wild starter, built first' },
];
const PLANS: Readonly<Record<PitchWay, TimedPlan | null>> = {
  sprinkled: 'rehydration',
  rehydrated: 'rehydration',
  starter: 'starter',
  wild: 'wild-starter',
  left: null,
};
/** How the log calls each way: what the juice brings by itself is left to it, and a starter is one whatever lives in it. */
const METHODS_FILED: Readonly<Record<PitchWay, PitchMethod>> = {
  sprinkled: 'sprinkled',
  rehydrated: 'rehydrated',
  starter: 'starter',
  wild: 'starter',
  left: 'wild',
};
/** Warmth nearer than this is the same, °C. */
const SAME_WARMTH_C = 0.05;
/** Packets to the next half, since an open one does not keep. */
function packetsText(count: number): string {
  const halves = Math.ceil(count * 2 - 0.15) / 2;
  return halves < 1 ? 'Half a packet' : halves === 1 ? 'One packet' : `${halves} packets`;
}

/** Kinds shown before the rest are asked for. */
const SHOWN = 4;

/** Pitch: which kind, how much of it for this must, and what to mind first. */
@Component({
  selector: 'trug-pitch-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    NextTimeNotes,
    Word,
    ActHead,
    SaidPipe,
    ReactiveFormsModule,
    RouterLink,
    QuantityField,
    CautionList,
    Working,
    Icon,
    SupplyTake,
    TimedSteps,
    SelectField,
    MatRadioButton,
    MatRadioGroup,
    Refusal,
    WarmthNote,
    OwnYeastForm,
  ],
  templateUrl: './pitch-page.html',
  styleUrl: './pitch-page.scss',
})
export class PitchPage {
  private readonly writer = inject(LogWriter);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  private readonly supplies = inject(Store).selectSignal(selectSuppliesLeft);
  protected readonly kinds = YEAST_KINDS;
  protected readonly aims = AIMS;
  protected readonly all = signal(false);
  protected readonly draft = createBatchDraft(PITCH_DRAFT, { yeastId: '', withId: '', temp: '', place: '', aim: '', way: '', given: '' });
  protected readonly fields = computed(() => this.draft.fields());
  protected readonly typed = signal('');
  protected readonly refusal = signal<string | null>(null);
  protected readonly juiceC = computed(() => numberIn(readQuantity(this.units, this.fields().temp, 'temperature')));
  private readonly typedPlaceC = computed(() => numberIn(readQuantity(this.units, this.fields().place, 'temperature')));
  private readonly placeC = computed(() => this.typedPlaceC() ?? this.view()?.state.placeC ?? this.juiceC());
  /** What is known of the air around it; the juice's own warmth says nothing of that. */
  protected readonly airC = computed(() => this.typedPlaceC() ?? this.view()?.state.placeC ?? null);
  private readonly stock = computed(() =>
    inOrderOfUse(this.supplies(), this.writer.now()).flatMap((s) =>
      s.kind === 'yeast' && s.refId !== null && s.left > 0 ? [{ yeastId: s.refId, bestBefore: s.bestBefore, packetG: s.packetG }] : [],
    ),
  );
  /** Every kind for this must and place, best first, with what speaks most against and for it. */
  protected readonly ranked = computed(() => {
    const liquid = this.view()?.state.liquid;
    if (!liquid) return null;
    const placeC = this.placeC();
    const aim = YEAST_AIMS.find((a) => a === this.fields().aim) ?? null;
    return rankYeasts({ liquid, aim, tempProfile: placeC === null ? [] : [placeC], stock: this.stock(), today: this.writer.now() });
  });
  /** The kind that was chosen; until one is, that of the batch's manner, or the one that fits best. */
  protected readonly yeastId = computed(() => this.fields().yeastId || (this.view()?.method.yeastId ?? this.ranked()?.value[0]?.yeastId ?? USUAL_YEAST_ID));
  protected readonly others = computed(() => YEAST_KINDS.filter((k) => k.id !== this.yeastId()));
  protected readonly yeast = computed(() => yeastById(this.yeastId()));
  protected readonly words = computed(() => yeastWords(this.yeast()));
  protected readonly choices = computed(() => {
    const ranked = this.ranked()?.value ?? [];
    const shown = this.all() ? ranked : ranked.slice(0, SHOWN);
    const chosen = ranked.find((r) => r.yeastId === this.yeastId());
    const list = chosen && !shown.includes(chosen) ? [...shown, chosen] : shown;
    return list.map((r) => ({
      ...r,
      lines: r.reasons.filter((reason) => reason.fit < 0.75).slice(0, 2),
      good: r.reasons.filter((reason) => reason.fit >= 0.95).slice(0, 2),
    }));
  });
  protected readonly ways = computed(() => (this.yeastId() === WILD_YEAST_ID ? WILD_WAYS : BOUGHT_WAYS));
  protected readonly way = computed((): PitchWay => this.ways().find((w) => w.id === this.fields().way)?.id ?? this.usualWay());
  /** The packet of the cupboard that holds the chosen kind. */
  private readonly packet = computed(() => this.stock().find((s) => s.yeastId === this.yeastId()) ?? null);
  private readonly weightsOf = injectWeightsOf();
  private readonly weights = computed(() => this.weightsOf()('yeast', this.yeastId()));
  protected readonly givenHints = computed((): ReadingHints => {
    const { packetG } = this.packet() ?? {};
    const weights = this.weights();
    return { weights: packetG ? { ...weights, gramsPerPacket: packetG } : weights, bareUnit: 'g' };
  });
  /** What goes in: what the maker says, or else the usual rate. */
  protected readonly massG = computed(() => {
    const usual = this.rate()?.value.massG ?? 0;
    return usual > 0 && this.tooMuch() === null ? (this.givenG() ?? usual) : usual;
  });
  private readonly givenG = computed(() => numberIn(readQuantity(this.units, this.fields().given, 'mass', this.givenHints())));
  protected readonly tooMuch = computed(() =>
    (this.givenG() ?? 0) > LIMITS.smallDoseG.max ? `That is more yeast than any batch wants. Write it in grams, such as ${this.units.mass(5)}.` : null,
  );
  /** What to expect of a packet past its date. */
  protected readonly old = computed(() => {
    const until = this.packet()?.bestBefore ?? null;
    return until === null ? null : oldPacket(until, this.writer.now(), this.units.zone());
  });
  protected readonly wildId = WILD_YEAST_ID;
  private readonly usualWay = computed((): PitchWay => (this.yeastId() === WILD_YEAST_ID ? 'left' : (this.rate()?.value.method ?? 'sprinkled')));
  protected readonly steps = computed(() => {
    const rate = this.rate();
    const liquid = this.view()?.state.liquid;
    if (!rate || !liquid) return [];
    const list = pitchSteps({
      yeastId: this.yeastId(),
      massG: this.massG(),
      way: this.way(),
      juiceC: this.juiceC(),
      volumeL: liquid.volumeL,
    });
    return list;
  });
  protected readonly plan = computed(() => PLANS[this.way()]);
  /** The second kind, where two go in together. */
  private readonly withId = computed(() => {
    const { withId } = this.fields();
    const yeastId = this.yeastId();
    return withId === '' || withId === yeastId ? null : withId;
  });
  /** What happens when kinds meet: the two that go in, or the one that goes into a ferment of another. */
  protected readonly together = computed(() => {
    const second = this.withId() ?? this.view()?.state.yeastId ?? null;
    return second === null || second === this.yeastId() ? null : yeastTogether(second, this.yeastId());
  });
  private readonly take = viewChild<SupplyTake>('take');
  protected readonly needs = computed((): readonly Need[] => {
    const massG = this.massG();
    const ids = [this.yeastId(), ...(this.withId() === null ? [] : [this.withId()])];
    return ids.map((refId) => ({ kind: 'yeast', refId, amount: massG / ids.length, unit: 'g' }));
  });
  /** The same weight as packets of the cupboard, and in level teaspoons. */
  protected readonly packets = computed(() => {
    const massG = this.massG();
    const packetG = this.packet()?.packetG ?? USUAL_PACKET_G;
    const count = massG / packetG;
    const spoons = levelSpoonsText(massG, this.weights().gramsPerTeaspoon);
    return massG === 0 ? '' : `${packetsText(count)} of ${packetG} g${spoons === null ? '' : `, or about ${spoons}`}. Weigh it if you can.`;
  });
  protected readonly rate = computed(() => {
    const liquid = this.view()?.state.liquid;
    return liquid ? pitchRate({ liquid, yeastId: this.yeastId(), tempC: this.juiceC() ?? USUAL_MUST_C, purpose: 'start' }) : null;
  });
  /** Juice from a carton was heated. */
  private readonly fromShop = computed(() => this.view()?.state.heatedJuice ?? false);
  protected readonly cautions = computed(() => {
    const state = this.view()?.state;
    if (!state?.liquid) return [];
    return pitchCautions({
      liquid: state.liquid,
      yeastId: this.yeastId(),
      juiceC: this.juiceC(),
      sulfitedAt: state.sulfitedAt,
      at: this.writer.now(),
      heated: this.fromShop(),
    });
  });

  protected async file(): Promise<void> {
    const view = this.view();
    const rate = this.rate();
    if (!view || !rate) {
      this.refusal.set('There is no juice in this batch to pitch into.');
      return;
    }
    const unusable = this.tooMuch() ?? this.draft.wrong();
    if (unusable !== null) {
      this.refusal.set(unusable);
      return;
    }
    if (!this.take()) {
      this.refusal.set('What it takes out of the cupboard is still being looked up. Press it again in a moment.');
      return;
    }
    const danger = unacknowledged(this.cautions(), this.typed());
    if (danger !== null) {
      this.refusal.set(danger);
      return;
    }
    this.refusal.set(await this.writer.write(view, [...this.movedTo(view), this.pitched()], 'Pitched.', this.draft));
  }

  private pitched(): Act {
    const danger = this.cautions().find((c) => c.severity === 'danger');
    const yeastId = this.yeastId();
    const payload = {
      yeastId,
      massG: this.massG(),
      method: METHODS_FILED[this.way()],
      juiceC: this.juiceC(),
      withYeastId: this.withId() ?? undefined,
      supplies: this.take()?.uses(),
    };
    return { kind: 'pitched', payload, note: danger ? `Danger acknowledged: ${danger.id}` : '' };
  }

  /** How warm its place is, where that was said here and is not known yet. */
  private movedTo({ state }: BatchView): readonly Act[] {
    const tempC = this.typedPlaceC();
    if (tempC === null || (state.placeC !== null && Math.abs(state.placeC - tempC) < SAME_WARMTH_C)) return [];
    return [{ kind: 'moved', payload: { place: state.place ?? WHERE_IT_STANDS, tempC } }];
  }
}
