/** The one thing of the platform that core relies on beside the language: every browser and Node has it. */
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean })
  decode(bytes: Uint8Array): string
}
