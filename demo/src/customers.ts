import type { Customer } from '@yellow-pane/core/job';
import { demoId } from './demo-id';

/** Invented, as all of the demo. */
export const DEMO_CUSTOMERS: readonly { readonly id: string; readonly customer: Customer }[] = [
  {
    id: demoId('customer', 1),
    customer: {
      name: 'Kestrel Hill Funicular',
      address: 'Lower station\nKestrel Hill',
      contacts: [{ name: 'Ida, stationmaster', phone: '', email: '' }],
    },
  },
  {
    id: demoId('customer', 2),
    customer: {
      name: 'Summit shelter keepers',
      address: 'Kestrel Hill',
      contacts: [{ name: 'Tarn, hut keeper', phone: '', email: '' }],
    },
  },
];
