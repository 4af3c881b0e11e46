/** Cuts fonts by characters, with HarfBuzz's subsetter: shapes, spacing and rules of the letters stay as they are. */

/** What harfbuzz-subset.wasm gives, as whoever can instantiate it has it; numbers are addresses in its memory. */
export type Subsetter = {
  readonly memory: { readonly buffer: ArrayBufferLike }
  _initialize(): void
  malloc(size: number): number
  hb_blob_create(data: number, size: number, mode: number, user: number, destroy: number): number
  hb_blob_destroy(blob: number): void
  hb_blob_get_data(blob: number, length: number): number
  hb_blob_get_length(blob: number): number
  hb_face_create(blob: number, index: number): number
  hb_face_destroy(face: number): void
  hb_face_reference_blob(face: number): number
  hb_set_add(set: number, value: number): void
  hb_set_clear(set: number): void
  hb_set_invert(set: number): void
  hb_subset_input_create_or_fail(): number
  hb_subset_input_destroy(input: number): void
  hb_subset_input_set(input: number, which: number): number
  hb_subset_input_unicode_set(input: number): number
  hb_subset_or_fail(face: number, input: number): number
}

/** HB_MEMORY_MODE_WRITABLE, HB_SUBSET_SETS_LAYOUT_FEATURE_TAG (hb.h, hb-subset.h). */
const WRITABLE = 2
const LAYOUT_FEATURES = 6

/** One font to be cut; the subsetter is its own, and its memory goes with it. */
export class FontCutter {
  private readonly face: number

  /** @param openType an uncompressed font */
  constructor(
    private readonly hb: Subsetter,
    openType: Uint8Array,
  ) {
    hb._initialize()
    const at = hb.malloc(openType.length)
    new Uint8Array(hb.memory.buffer).set(openType, at)
    const blob = hb.hb_blob_create(at, openType.length, WRITABLE, 0, 0)
    this.face = hb.hb_face_create(blob, 0)
    hb.hb_blob_destroy(blob)
  }

  /** @param codes the characters that are kept @returns an uncompressed font @throws when the font is damaged */
  cut(codes: Iterable<number>): Uint8Array {
    const { hb, face } = this
    const input = hb.hb_subset_input_create_or_fail()
    // Whatever a text may ask of its font by name.
    const features = hb.hb_subset_input_set(input, LAYOUT_FEATURES)
    hb.hb_set_clear(features)
    hb.hb_set_invert(features)
    const kept = hb.hb_subset_input_unicode_set(input)
    for (const code of codes) hb.hb_set_add(kept, code)
    const part = hb.hb_subset_or_fail(face, input)
    hb.hb_subset_input_destroy(input)
    if (part === 0) throw new Error('the font is damaged: it cannot be parted')
    const blob = hb.hb_face_reference_blob(part)
    const at = hb.hb_blob_get_data(blob, 0)
    // Memory that grew is another buffer.
    const bytes = new Uint8Array(hb.memory.buffer).slice(at, at + hb.hb_blob_get_length(blob))
    hb.hb_blob_destroy(blob)
    hb.hb_face_destroy(part)
    return bytes
  }
}
