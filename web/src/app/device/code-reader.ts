/** What some browsers have to read codes in pictures. */
interface Detector {
  detect(picture: ImageBitmap): Promise<readonly { readonly rawValue: string }[]>;
}
type DetectorClass = new (options: { readonly formats: readonly string[] }) => Detector;

const detectorClass = (): DetectorClass | undefined =>
  (globalThis as { readonly BarcodeDetector?: DetectorClass }).BarcodeDetector;

/** Whether this browser reads codes. */
export const canReadCodes = (): boolean => detectorClass() !== undefined;

/** The text of the first square code in a picture; undefined: there is none, or it cannot be read. */
export async function codeIn(picture: Blob): Promise<string | undefined> {
  const Reader = detectorClass();
  if (Reader === undefined) return undefined;
  const bitmap = await createImageBitmap(picture).catch(() => undefined);
  if (bitmap === undefined) return undefined;
  const found = await new Reader({ formats: ['qr_code'] }).detect(bitmap).catch(() => []);
  return found[0]?.rawValue;
}
