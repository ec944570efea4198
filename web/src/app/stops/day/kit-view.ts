import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Planning } from './planning';

/** What to pack and what to buy: ticked as it goes into the van. */
@Component({
  selector: 'yp-kit-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">Kit</h2>
    <p>{{ packed() }} of {{ all() }} packed. What is not ticked at the end is the shopping list.</p>
    <div class="grid grid-cols-2 gap-8 max-lg:grid-cols-1 mt-2 max-w-4xl">
      @for (part of parts(); track part.word) {
        <section [attr.aria-label]="part.word"><h3 class="font-bold border-b border-ink pb-1">{{ part.word }}</h3>
          @for (item of part.items; track item.key) {
            <label class="flex gap-3 items-center min-h-touch border-b border-line"><input type="checkbox" class="size-6 accent-ink" [checked]="isPacked(item.key)" (change)="tick(item.key)" /><span class="flex-1 leading-tight">{{ item.word }}@if (item.because) { <span class="block text-sm text-faint">{{ item.because }}</span> }</span>@if (item.count !== null) { <span class="figure font-semibold">{{ item.count }} {{ item.unit }}</span> }</label>
          } @empty { <p class="text-faint py-2">Nothing yet: choose films first.</p> }
        </section>
      }
    </div>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class KitView {
  protected readonly planning = inject(Planning);
  protected readonly parts = computed(() => { const { tools, usedUp } = this.planning.kit(); return [{ word: 'Used up', items: usedUp }, { word: 'Tools and liquids', items: tools }]; });
  protected readonly all = computed(() => this.parts().reduce((sum, { items }) => sum + items.length, 0));
  protected readonly packed = computed(() => this.parts().reduce((sum, { items }) => sum + items.filter(({ key }) => this.isPacked(key)).length, 0));

  protected isPacked(key: string): boolean {
    return this.planning.settings().packed.includes(key);
  }

  protected tick(key: string): void {
    const packed = this.planning.settings().packed;
    this.planning.set({ packed: packed.includes(key) ? packed.filter((own) => own !== key) : [...packed, key] }, packed.includes(key) ? 'unpacked' : 'packed');
  }
}
