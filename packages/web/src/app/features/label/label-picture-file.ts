/** Larger pictures make printing slow and say nothing more at this size. */
const MOST_BYTES = 4_000_000;

/**
 * A picture of the maker's, as an address of its bytes that a label can show and a file can hold.
 *
 * @param file - as chosen
 * @returns the address; or why it cannot be taken, in words
 */
export async function pictureOf(file: File): Promise<{ readonly own: string } | { readonly why: string }> {
  if (!/^image\/(png|jpeg|webp|gif|svg\+xml)$/.test(file.type)) return { why: `${file.name} is no picture that can be printed: take a PNG or a JPEG.` };
  if (file.size > MOST_BYTES) return { why: `${file.name} is larger than 4 MB: make it smaller first.` };
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(typeof reader.result === 'string' ? { own: reader.result } : { why: `${file.name} could not be read.` });
    };
    reader.onerror = () => {
      resolve({ why: `${file.name} could not be read.` });
    };
    reader.readAsDataURL(file);
  });
}
