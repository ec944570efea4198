/** Somebody the shop works for. */
export interface Customer {
  readonly name: string;
  readonly address: string;
  readonly contacts: readonly { readonly name: string; readonly phone: string; readonly email: string }[];
}
