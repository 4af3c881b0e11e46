/**
 * What core may use beside the language: the few names that browsers, workers and Node all have. Core is checked against these
 * alone (tsconfig.core.json), so that it cannot come to need a DOM.
 */
declare function structuredClone<T>(value: T): T
declare function btoa(binary: string): string
declare function atob(base64: string): string
declare class TextEncoder {
  encode(text: string): Uint8Array<ArrayBuffer>
}
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean })
  decode(bytes?: Uint8Array): string
}
declare const performance: { now(): number }
