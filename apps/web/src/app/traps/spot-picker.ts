import { ChangeDetectionStrategy, Component, computed, inject, model } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { Point } from '@field-nurse/core/ground';
import { Garden } from '../gardens/garden';
import { Plan } from '../ground/ground-plan';
import type { PlanItem } from '../ground/ground-plan';
import { planShapes } from '../gardens/plan-shapes';
import { placeKindWords } from '../shared/words';

/** A point on the ground plan: tapped, or typed in metres. */
@Component({
  selector: 'fn-spot-picker',
  imports: [MatFormFieldModule, MatInputModule, Plan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    fn-plan {
      display: block;
      border: var(--fn-stroke) solid var(--fn-line);
      border-radius: var(--fn-radius);
    }
    .metres {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 10px;
      margin-top: 8px;
    }
  `,
  template: `
    <fn-plan [items]="items()" [points]="points()" [picking]="true" (picked)="point.set(rounded($event))" />
    <div class="metres">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Metres from the left</mat-label>
        <input matInput type="number" step="0.1" #x [value]="point()?.x ?? ''" (change)="type(x.value, y.value)" />
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Metres from the top</mat-label>
        <input matInput type="number" step="0.1" #y [value]="point()?.y ?? ''" (change)="type(x.value, y.value)" />
      </mat-form-field>
    </div>
  `,
})
export class SpotPicker {
  readonly #garden = inject(Garden);
  readonly point = model<Point | null>(null);
  protected readonly items = computed<readonly PlanItem[]>(() => {
    const { places } = planShapes(this.#garden.places(), [], this.#garden.today());
    return this.#garden.places().flatMap(({ id, name, kind }): PlanItem[] => {
      const shape = places.get(id);
      return shape
        ? [
            {
              id,
              subject: 'places',
              shape,
              label: name,
              said: `${placeKindWords[kind]} ${name}`,
              rows: 1,
              state: kind,
              mark: null,
              badge: '',
            },
          ]
        : [];
    });
  });
  protected readonly points = computed(() => {
    const at = this.point();
    return at ? [{ id: 'spot', at, label: 'The spot' }] : [];
  });
  protected readonly rounded = ({ x, y }: Point): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 });

  protected type(x: string, y: string): void {
    if (x !== '' && y !== '' && Number.isFinite(Number(x)) && Number.isFinite(Number(y))) this.point.set({ x: Number(x), y: Number(y) });
  }
}
