import { about } from '../../../units/about';
import { SaidPipe } from '../../../units/said.pipe';
import { Word } from '../../../shared/word/word';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { BlendAim, BlendJuice, BlendUse, Liquid, ReachAxis, ReachPoint } from '@trug/core';
import { countText } from '@trug/core/matter/quantity/count-text';
import { BLEND_STYLES } from '@trug/core/juice/blend/blend-styles';
import { blendUncertainty } from '@trug/core/juice/blend/blend-uncertainty';
import { blendWords } from '@trug/core/juice/blend/blend-words';
import { limitWords } from '@trug/core/juice/blend/limit-words';
import { phOf, taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { gravityOf, abvOf } from '@trug/core/matter/liquid/views';
import { figure } from '@trug/core/base/worked/figures';
import { CautionList } from '../../../shared/caution/caution-list';
import { createDraft } from '../../../writing/draft';
import { QuantityField, readQuantity } from '../../../shared/field/quantity-field';
import { Tape } from '../../../shared/tape/tape';
import { Units } from '../../../units/units';
import { Working } from '../../../shared/working/working';
import { Cylinder } from '../cylinder/cylinder';
import { juiceColour } from '../cylinder/juice-colour';
import { BENCH_DRAFT, heldText, readHeld, readKept, readTargets, targetsAt, targetsText, targetsWith, type KeptBlend } from './bench-draft';
import { MEASURES, MODES, USES } from './bench-choices';
import { selectCiderSources, selectJuiceSources, selectPreservedJuices, type BenchSource } from './bench-sources';
import { BlendSolver } from './blend-solver';
import type { BlendAnswer } from './blend-task';
import { PourPanel } from './pour-panel';
import { AXES } from './reach-geometry';
import { ReachMap, type MapJuice } from './reach-map';
import { AimFields } from './aim-fields';
import { JuiceLimits } from './juice-limits';
import { limitsOf, readLimits, type TypedLimits } from './limits-draft';
import { ReactiveFormsModule } from '@angular/forms';
import { controlOver } from '../../../shared/field/control-of';
import { SelectField } from '../../../shared/field/select-field';
import { ToggleField } from '../../../shared/field/toggle-field';

const AXIS_VALUE: Readonly<Record<ReachAxis, (l: Liquid) => number>> = { taGPerL: taOf, tanninGPerL: (l) => l.tanninGPerL, ph: phOf, abv: abvOf };
/** Blends that can be set side by side. */
const MOST_KEPT = 3;
/** Poured when nothing was said: half of what there is, which leaves the map something to show. */
const USUAL_SHARE = 0.5;

/** The blend bench: cylinders on the left, what they can make on the right, and the blend that comes nearest below. */
@Component({
  selector: 'trug-blend-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Word,
    SaidPipe,
    RouterLink,
    Cylinder,
    Tape,
    ReachMap,
    QuantityField,
    Working,
    CautionList,
    PourPanel,
    AimFields,
    JuiceLimits,
    ReactiveFormsModule,
    SelectField,
    ToggleField,
  ],
  providers: [BlendSolver],
  templateUrl: './blend-bench.html',
  styleUrl: './blend-bench.scss',
})
export class BlendBench {
  private readonly store = inject(Store);
  private readonly solver = inject(BlendSolver);
  protected readonly units = inject(Units);
  private readonly juiceSources = this.store.selectSignal(selectJuiceSources);
  private readonly ciderSources = this.store.selectSignal(selectCiderSources);
  protected readonly preserved = this.store.selectSignal(selectPreservedJuices);
  protected readonly draft = createDraft('blend-bench', BENCH_DRAFT);
  protected readonly uses = USES;
  protected readonly measures = computed(() => MEASURES.map(({ litres, says }) => ({ id: String(litres), name: `${this.units.volume(litres)}${says}` })));
  protected readonly pouring = signal(false);
  private readonly answer = signal<BlendAnswer | null>(null);

  protected readonly ciders = computed(() => this.draft.fields().mode === 'cider');
  protected readonly canBlendCiders = computed(() => this.ciderSources().length > 1);
  protected readonly sources = computed((): readonly BenchSource[] => (this.ciders() ? this.ciderSources() : this.juiceSources()));
  protected readonly styles = computed(() => BLEND_STYLES.filter((s) => s.fermented === this.ciders()));
  protected readonly axes = computed((): readonly ReachAxis[] => (this.ciders() ? ['taGPerL', 'tanninGPerL', 'abv'] : ['taGPerL', 'tanninGPerL', 'ph']));
  protected readonly axis = computed((): ReachAxis => this.axes().find((a) => a === this.draft.fields().axis) ?? 'taGPerL');
  protected readonly axisChoices = computed(() => this.axes().map((id) => ({ id, name: AXES[id].name })));
  protected readonly use = computed((): BlendUse => USES.find((u) => u.id === this.draft.fields().use)?.id ?? 'closest');
  protected readonly inHandL = computed(() => this.sources().reduce((sum, s) => sum + s.leftL, 0));
  protected readonly tallestL = computed(() => Math.max(1, ...this.sources().map((s) => s.leftL)));
  protected readonly measureL = computed(() => Number(this.draft.fields().measure) || 0.1);
  private readonly totalRead = computed(() => readQuantity(this.units, this.draft.fields().total, 'volume'));
  protected readonly totalL = computed(() => {
    const read = this.totalRead();
    // One juice alone is not blended: all of it goes on.
    if (read === null) return this.sources().length === 1 ? this.inHandL() : Math.max(0.5, Math.round(this.inHandL() * USUAL_SHARE));
    return read.ok ? read.value.value : null;
  });
  private readonly held = computed(() => readHeld(this.draft.fields().held));
  /** The style chosen; the first one until the maker chooses or moves the cross. */
  protected readonly style = computed(() => {
    const { style, targets } = this.draft.fields();
    return style === '' && targets === '' ? (this.styles()[0]?.id ?? '') : style;
  });
  protected readonly styleChoices = computed(() => [
    { id: '', name: 'where I put the cross' },
    ...this.styles().map(({ id, name, says }) => ({ id, name: `${name}: ${this.units.say(says)}` })),
  ]);
  protected readonly modes = MODES;
  protected readonly modeControl = controlOver<string>(
    'juice',
    computed(() => (this.ciders() ? 'cider' : 'juice')),
    (mode) => this.mode(mode),
  );
  protected readonly useControl = controlOver<string>('', this.use, (use) => this.draft.set('use', use));
  protected readonly axisControl = controlOver<ReachAxis>('taGPerL', this.axis, (axis) => this.showAxis(axis));
  protected readonly styleControl = controlOver<string>('', this.style, (style) => this.chooseStyle(style));
  protected readonly targets = computed(() => {
    const set = readTargets(this.draft.fields().targets);
    return Object.keys(set).length > 0 ? set : (this.styles()[0]?.targets ?? {});
  });
  private readonly blendJuices = computed((): readonly BlendJuice[] =>
    this.sources().map((s) => ({
      id: s.id,
      name: s.name,
      liquid: s.liquid,
      ...this.limitL(s),
      lockedL: this.held().has(s.id) ? Math.min(s.leftL, this.held().get(s.id) ?? 0) : undefined,
      costPerL: s.costPerL ?? undefined,
    })),
  );
  protected readonly typedLimits = computed(() => readLimits(this.draft.fields().limits));
  /** What settles the outline: everything but the target. */
  private readonly reachInput = computed(() => ({ juices: this.blendJuices(), totalL: this.totalL(), axis: this.axis() }));
  private drawnFor: unknown = null;
  private readonly lastOutline = signal<readonly ReachPoint[]>([]);

  protected readonly blend = computed(() => this.answer()?.blend ?? null);
  protected readonly cautions = computed(() => this.blend()?.cautions ?? []);
  protected readonly steps = computed(() => this.blend()?.steps ?? []);
  private readonly volumes = computed(() => new Map((this.blend()?.value.volumesL ?? []).map((v) => [v.id, v.volumeL])));
  protected readonly cards = computed(() =>
    this.sources().map((source) => {
      const pouredL = Math.min(source.leftL, this.volumes().get(source.id) ?? 0);
      const heldL = this.held().get(source.id);
      const figures = { sg: this.units.gravity(gravityOf(source.liquid)), ta: figure(taOf(source.liquid), 1), ph: figure(phOf(source.liquid), 2) };
      return {
        source,
        pouredL,
        pouredText: pouredL < 0.005 ? '' : this.units.short(this.units.volume(Math.round(pouredL * 100) / 100)),
        colour: juiceColour(source.liquid),
        left: this.units.short(this.units.volumeAbout(source.leftL)),
        gravity: figures.sg,
        acid: { text: about(`acid ${figures.ta}`, source.guessed.includes('taGPerL')), isGuessed: source.guessed.includes('taGPerL') },
        ph: { text: about(`pH ${figures.ph}`, source.guessed.includes('ph')), isGuessed: source.guessed.includes('ph') },
        held: heldL !== undefined,
        heldSays: heldL === undefined ? '' : heldL >= source.leftL - 0.005 ? 'used up' : `held at ${this.units.volume(Math.round(heldL * 100) / 100)}`,
      };
    }),
  );
  protected readonly outline = this.lastOutline.asReadonly();
  protected readonly mapJuices = computed((): readonly MapJuice[] => {
    const total = this.totalL() ?? 1;
    return this.sources().map((s) => ({
      id: s.id,
      name: s.name,
      sg: gravityOf(s.liquid),
      y: AXIS_VALUE[this.axis()](s.liquid),
      share: (this.volumes().get(s.id) ?? 0) / total,
      colour: juiceColour(s.liquid),
    }));
  });
  /** The cross-hair: the target, or where the blend lies on an axis that has none. */
  protected readonly cross = computed((): ReachPoint => {
    const targets = this.targets();
    const found = this.found();
    return { sg: targets.sg ?? found?.sg ?? 1.05, y: targets[this.axis()] ?? found?.y ?? 0 };
  });
  protected readonly found = computed((): ReachPoint | null => {
    const blend = this.blend()?.value;
    return blend ? { sg: blend.views.sg, y: blend.views[this.axis()] } : null;
  });
  protected readonly words = computed(() => {
    const blend = this.blend();
    return blend ? blendWords(blend.value.views) : null;
  });
  protected readonly limits = computed(() => (this.blend()?.value.limits ?? []).map((l) => limitWords(l, this.blendJuices())));
  protected readonly doubt = computed(() => {
    const poured = this.sources().flatMap((s) => {
      const volumeL = this.volumes().get(s.id) ?? 0;
      return volumeL > 0 ? [{ liquid: { ...s.liquid, volumeL }, doubt: s.doubt }] : [];
    });
    return poured.length > 0 ? blendUncertainty(poured) : null;
  });
  protected readonly figures = computed(() => {
    const blend = this.blend()?.value;
    const doubt = this.doubt();
    if (!blend || !doubt) return [];
    const { views } = blend;
    return [
      { name: 'Gravity', value: this.units.fineGravity(views.sg), unit: `± ${this.units.gravityDoubt(views.sg, doubt.sg)}` },
      { name: 'Acid, as malic', value: figure(views.taGPerL, 1), unit: `g/L ± ${figure(doubt.taGPerL, 1)}` },
      { name: 'pH, solved', value: figure(views.ph, 2), unit: `${figure(views.ph - doubt.ph, 2)}–${figure(views.ph + doubt.ph, 2)}` },
      { name: 'Tannin', value: figure(views.tanninGPerL, 1), unit: `g/L ± ${figure(doubt.tanninGPerL, 1)}` },
      this.ciders() ? { name: 'Strength', value: figure(views.abv, 1), unit: '%' } : { name: 'Sugar', value: figure(views.sugarGPerL, 0), unit: 'g/L' },
      {
        name: 'Left over',
        value: this.units.short(this.units.volumeAbout(blend.leftOverL)),
        unit: blend.leftInCount === 0 ? 'all of it goes in' : `in ${countText(blend.leftInCount, this.ciders() ? 'cider' : 'juice')}`,
      },
    ];
  });
  protected readonly problem = computed(() => {
    const read = this.totalRead();
    if (read?.ok === false) return null;
    const refusal = this.answer()?.refusal;
    if (!refusal) return null;
    if (refusal.limit === 'too-little')
      return `There are only ${this.units.volumeAbout(this.availableL())} to pour. Ask for less, let go of a juice that is held, or raise a most.`;
    if (refusal.limit === 'too-much') return 'More is held, or asked for at least, than the whole. Let go of a juice, lower a least, or fill more.';
    return refusal.message.endsWith('.') ? refusal.message : `${refusal.message}.`;
  });
  private readonly availableL = computed(() => this.blendJuices().reduce((sum, j) => sum + (j.lockedL ?? j.maxL), 0));
  protected readonly kept = computed(() => readKept(this.draft.fields().kept));
  protected readonly parts = computed(() =>
    this.sources().flatMap((source) => {
      const volumeL = this.volumes().get(source.id) ?? 0;
      return volumeL > 0.005 ? [{ source, volumeL }] : [];
    }),
  );

  constructor() {
    this.solver.onAnswer((answer) => {
      this.answer.set(answer);
      if (answer.outline) this.lastOutline.set(answer.outline);
    });
    this.solver.onFailure((message) => this.answer.set({ blend: null, outline: null, refusal: { message, field: '', limit: '' } }));
    inject(DestroyRef).onDestroy(() => this.solver.stop());
    effect(() => {
      const { juices, totalL, axis } = this.reachInput();
      const [targets, use, measureL] = [this.targets(), this.use(), this.measureL()];
      if (totalL === null || juices.length === 0) return;
      const reach = this.drawnFor === this.reachInput() ? null : axis;
      this.drawnFor = this.reachInput();
      this.solver.ask({ blend: { juices, totalL, targets, use, measureL }, reach });
    });
  }

  protected aim(point: ReachPoint): void {
    this.draft.fields.update((f) => ({ ...f, targets: targetsText(targetsAt(this.targets(), this.axis(), point)), style: '' }));
  }

  protected chooseStyle(id: string): void {
    const style = BLEND_STYLES.find((s) => s.id === id);
    if (!style) return;
    const axis = style.targets.ph === undefined ? (this.axis() === 'ph' ? 'taGPerL' : this.axis()) : 'ph';
    this.draft.fields.update((f) => ({ ...f, targets: targetsText(style.targets), style: id, axis }));
  }

  /** Going to another axis keeps the blend as it is and aims at where it lies there. */
  private showAxis(axis: ReachAxis): void {
    const found = this.blend()?.value.views;
    const y = this.targets()[axis] ?? found?.[axis];
    const targets = y === undefined ? this.targets() : targetsAt(this.targets(), axis, { sg: this.cross().sg, y });
    this.draft.fields.update((f) => ({ ...f, axis, targets: targetsText(targets) }));
  }

  private mode(mode: string): void {
    this.draft.fields.update((f) => ({ ...f, mode, targets: '', held: '', limits: '', style: '', axis: 'taGPerL' }));
  }

  protected hold(id: string, volumeL: number | null): void {
    const held = new Map(this.held());
    if (volumeL === null) held.delete(id);
    else held.set(id, Math.round(volumeL * 1000) / 1000);
    this.draft.set('held', heldText(held));
  }

  protected aimAt({ aim, value }: { readonly aim: BlendAim; readonly value: number | null }): void {
    this.draft.fields.update((f) => ({ ...f, targets: targetsText(targetsWith({ ...this.targets(), sg: this.cross().sg }, aim, value)), style: '' }));
  }

  protected limit(typed: TypedLimits): void {
    this.draft.set('limits', JSON.stringify(typed));
  }

  private limitL({ id, leftL }: BenchSource): { readonly minL: number; readonly maxL: number } {
    const { minL, maxL } = limitsOf(this.typedLimits()[id] ?? { least: '', most: '' }, leftL, this.units);
    return { minL, maxL };
  }

  protected keep(): void {
    const blend = this.blend()?.value;
    if (!blend) return;
    const kept: KeptBlend = {
      words: blendWords(blend.views),
      volumes: this.parts().map((p) => `${this.units.volume(Math.round(p.volumeL * 100) / 100)} ${p.source.name}`),
      figures: this.figures().map((f) => `${f.name} ${f.value}`),
      targets: targetsText(this.targets()),
      held: this.draft.fields().held,
    };
    this.draft.set('kept', JSON.stringify([...this.kept(), kept].slice(-MOST_KEPT)));
  }

  protected bringBack(kept: KeptBlend): void {
    this.draft.fields.update((f) => ({ ...f, targets: kept.targets, held: kept.held, style: '' }));
  }

  protected drop(index: number): void {
    this.draft.set('kept', JSON.stringify(this.kept().filter((_, i) => i !== index)));
  }

  protected forget(): void {
    this.draft.forget();
  }
}
