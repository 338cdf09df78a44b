import { ChangeDetectionStrategy, Component, computed, DestroyRef, DOCUMENT, effect, ElementRef, inject, input, signal, viewChild } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { caution } from '@trug/core/base/cautions/catalogue';
import { attempt } from '@trug/core/base/errors/attempt';
import { bottleById } from '@trug/core/base/reference/bottle-kinds';
import { labelFacts } from '@trug/core/book/label/label-facts';
import { LABEL_KINDS, labelSheet, PAPERS, type LabelPlace } from '@trug/core/finish/label/label-sheet';
import { countText } from '@trug/core/matter/quantity/count-text';
import { dayText } from '@trug/core/matter/quantity/days';
import { CautionList } from '../../shared/caution/caution-list';
import { ChoiceField } from '../../shared/field/choice-field';
import { FileField } from '../../shared/field/file-field';
import { NumberField, numberOf } from '../../shared/field/number-field';
import { SelectField } from '../../shared/field/select-field';
import { TextField } from '../../shared/field/text-field';
import { TickField } from '../../shared/field/tick-field';
import { Refusal } from '../../shared/refusal/refusal';
import { Tape } from '../../shared/tape/tape';
import { injectBatchView } from '../../state/batch-of-page';
import { strengthText } from '../../units/strength-text';
import { Units } from '../../units/units';
import { createBatchDraft } from '../../writing/draft';
import { DrawnLabel, type LabelWords } from './drawn-label';
import { LABEL_PICTURES, type LabelPicture } from './label-pictures';
import { pictureOf } from './label-picture-file';
import { qrPath } from '../../shared/qr/qr-path';

/** A desk printer's dots, against the pixels of a page. */
const DOTS_PER_INCH = 300;
const CSS_PER_INCH = 96;
const FIELDS = { kind: 'front', paper: 'a4', count: '', from: '', own: '', qr: false, picture: '' };

/** Labels for a crate: what they say is worked out, how they look is chosen, and they are printed on sheets to be cut. */
@Component({
  selector: 'trug-label-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReactiveFormsModule, RouterLink, CautionList, ChoiceField, DrawnLabel, FileField, NumberField, Refusal, SelectField, Tape, TextField, TickField],
  templateUrl: './label-page.html',
  styleUrl: './label-page.scss',
})
export class LabelPage {
  private readonly document = inject(DOCUMENT);
  protected readonly units = inject(Units);
  readonly id = input.required<string>();
  readonly crateId = input.required<string>();
  protected readonly view = injectBatchView(this.id);
  protected readonly draft = createBatchDraft('label', FIELDS);
  protected readonly refusal = signal<string | null>(null);
  protected readonly kinds = LABEL_KINDS.map(({ id, name, widthMm, heightMm }) => ({ id, name: `${name}, ${widthMm} × ${heightMm} mm` }));
  protected readonly papers = PAPERS.map(({ id, name }) => ({ id, name }));
  protected readonly cautions = [caution('strength'), caution('law')];
  protected readonly crate = computed(() => this.view()?.state.crates.find((c) => c.id === this.crateId()) ?? null);
  protected readonly kind = computed(() => LABEL_KINDS.find((kind) => kind.id === this.draft.fields().kind) ?? LABEL_KINDS[1]);
  protected readonly paper = computed(() => PAPERS.find((paper) => paper.id === this.draft.fields().paper) ?? PAPERS[0]);
  /** One for every bottle there was. */
  protected readonly usualCount = computed(() =>
    Math.max(
      1,
      (this.crate()?.lots ?? []).reduce((sum, lot) => sum + lot.filled, 0),
    ),
  );
  protected readonly address = computed(() => `${this.document.location.origin}/batch/${this.id()}`);
  private readonly ownPicture = signal<string | null>(null);
  protected readonly pictures = [
    { id: '', name: 'none' },
    ...LABEL_PICTURES.map(({ id, name }) => ({ id: id as string, name: name as string })),
    { id: 'own', name: 'a picture of my own' },
  ];
  protected readonly picture = computed((): LabelPicture | null => {
    const [chosen, own] = [this.draft.fields().picture, this.ownPicture()];
    if (chosen === 'own') return own === null ? null : { own };
    return LABEL_PICTURES.find((p) => p.id === chosen) ?? null;
  });
  protected readonly isSaving = signal(false);
  private readonly shown = viewChild<unknown, ElementRef<HTMLElement>>('shown', { read: ElementRef });
  protected readonly code = computed(() => (this.draft.fields().qr ? qrPath(this.address()) : null));

  protected readonly words = computed((): LabelWords | null => {
    const [view, crate] = [this.view(), this.crate()];
    if (!view || !crate) return null;
    const zone = view.state.zone;
    const facts = labelFacts(view.log, crate, zone);
    const sizes = [...new Set(crate.lots.map((lot) => bottleById(lot.kindId).sizeMl))];
    const strength = `about ${strengthText(this.units, crate.drink.liquid, crate.drink.must)} vol`;
    return {
      name: crate.name,
      tape: view.batch.tape,
      // Mixed sizes share a label, which then names none.
      figures: [strength, ...(sizes.length === 1 ? [this.units.volume((sizes[0] ?? 0) / 1000)] : [])],
      taste: facts.taste,
      dates: `Bottled ${this.dated(facts.bottledAt)}. Ready from ${this.dated(facts.readyFrom)}, at its best until ${this.dated(facts.bestUntil)}.`,
      lot: `Lot ${crate.name}, ${crate.capColour} caps`,
      contents: `Made of ${facts.contents.join(', ')}.`,
      cautions: facts.cautions.join(' '),
      own: this.draft.fields().own.trim(),
    };
  });
  private readonly laid = computed(() => {
    const { count, from } = this.draft.fields();
    return attempt(() =>
      labelSheet({ paper: this.paper().id, kind: this.kind().id, count: numberOf(count, 'labels') ?? this.usualCount(), from: numberOf(from, 'labels') ?? 1 }),
    );
  });
  protected readonly sheet = computed(() => {
    const laid = this.laid();
    return laid.ok ? laid.value : null;
  });
  protected readonly pages = computed(() => {
    const sheet = this.sheet();
    return Array.from({ length: sheet?.pages ?? 0 }, (_, page): readonly LabelPlace[] => sheet?.places.filter((place) => place.page === page) ?? []);
  });
  protected readonly told = computed(() => {
    const sheet = this.sheet();
    return sheet
      ? `${countText(sheet.places.length, 'label')} on ${countText(sheet.pages, 'sheet')} of ${this.paper().name}, ${sheet.columns * sheet.rows} to a sheet.`
      : '';
  });

  constructor() {
    // Printers take the size of the paper from a rule of the whole document.
    const rule = this.document.createElement('style');
    this.document.head.append(rule);
    inject(DestroyRef).onDestroy(() => rule.remove());
    effect(() => {
      rule.textContent = `@page { size: ${this.paper().css}; margin: 0; }`;
    });
  }

  private dated(iso: string): string {
    const day = this.units.dateOf(iso);
    return `${dayText(day)} ${day.slice(0, 4)}`;
  }

  protected async take(file: File): Promise<void> {
    const taken = await pictureOf(file);
    this.refusal.set('why' in taken ? taken.why : null);
    if ('own' in taken) this.ownPicture.set(taken.own);
  }

  /** One label as a file, as sharp as a printer puts it on paper. */
  protected async save(as: 'png' | 'svg'): Promise<void> {
    const label = this.shown()?.nativeElement;
    if (!label) return;
    this.isSaving.set(true);
    try {
      const { toPng, toSvg } = await import('html-to-image');
      const address = await (as === 'png' ? toPng(label, { pixelRatio: DOTS_PER_INCH / CSS_PER_INCH }) : toSvg(label));
      const link = this.document.createElement('a');
      link.href = address;
      link.download = `${this.crate()?.name ?? 'label'}.${as}`;
      link.click();
      this.refusal.set(null);
    } catch (error) {
      this.refusal.set(`It could not be drawn as a file (${error instanceof Error ? error.message : 'unknown reason'}). Print it to a file instead.`);
    } finally {
      this.isSaving.set(false);
    }
  }

  protected print(): void {
    const sheet = this.sheet();
    const wrong = this.draft.wrong() ?? (sheet ? null : `Between 1 and 200 labels, beginning at a place that is on the sheet.`);
    this.refusal.set(wrong);
    if (wrong === null) this.document.defaultView?.print();
  }
}
