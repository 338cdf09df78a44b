import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { judgedWords } from '@trug/core/book/kinds/tasted';
import type { BatchView } from '../../state/batch-views.selectors';
import { Units } from '../../units/units';
import { COURSE_H, COURSE_W, coursesOf } from './course-geometry';
import { whenTasted } from './taste-text';

/** The same batch from tasting to tasting: each quality drawn small, and what was said. */
@Component({
  selector: 'trug-taste-course',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (said().length > 0) {
      <h2>How it has gone</h2>
      @if (courses().length > 0) {
        <ul class="courses">
          @for (course of courses(); track course.scale) {
            <li>
              <svg [attr.viewBox]="box" role="img" [attr.aria-label]="course.spoken">
                <path class="middle" [attr.d]="middle" />
                <path class="line" [attr.d]="course.line" />
                @for (point of course.points; track $index) {
                  <circle [attr.cx]="point.x" [attr.cy]="point.y" r="3.5" />
                }
              </svg>
              <b>{{ course.scale }}</b
              ><span>{{ course.now }}</span>
            </li>
          }
        </ul>
      }
      <ol class="said">
        @for (tasting of said(); track tasting.id) {
          <li>
            <b class="num">{{ tasting.when }}</b> {{ tasting.words }}
          </li>
        }
      </ol>
    }
  `,
  styles: `
    h2 {
      margin: 0 0 0.75rem;
      font-size: 1.125rem;
    }
    .courses,
    .said {
      margin: 0 0 1rem;
      padding: 0;
      list-style: none;
    }
    .courses {
      display: flex;
      flex-wrap: wrap;
      gap: 1rem 1.5rem;
    }
    .courses li {
      width: 9rem;
    }
    b {
      margin-right: 0.375rem;
    }
    svg {
      display: block;
      width: 100%;
      border-bottom: 1px solid var(--line);
      margin-bottom: 0.25rem;
    }
    .line {
      fill: none;
      stroke: var(--russet);
      stroke-width: 2;
    }
    .middle {
      stroke: var(--line);
      stroke-dasharray: 2 3;
    }
    circle {
      fill: var(--russet);
    }
    .said {
      display: grid;
      gap: 0.375rem;
    }
  `,
})
export class TasteCourse {
  private readonly units = inject(Units);
  readonly view = input.required<BatchView>();
  private readonly tastings = computed(() => this.view().summary.tastings);
  protected readonly box = `0 0 ${COURSE_W} ${COURSE_H}`;
  protected readonly middle = `M0 ${COURSE_H / 2}H${COURSE_W}`;
  protected readonly courses = computed(() => coursesOf(this.tastings(), (tasting) => whenTasted(tasting, this.units)));
  protected readonly said = computed(() =>
    [...this.tastings()].reverse().map((tasting) => ({
      id: tasting.entryId,
      when: whenTasted(tasting, this.units),
      words: judgedWords(tasting) || 'judged without words',
    })),
  );
}
