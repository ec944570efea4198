/** What people read of something that was refused, and the status it has on the wire. */
export interface ErrorEntry {
  readonly status: number;
  readonly title: string;
  readonly remedy: string;
}
