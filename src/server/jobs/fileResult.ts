/** A file that a job made. With the job only its name and size are told; its bytes are fetched by themselves. */
export class FileResult {
  constructor(
    readonly file: string,
    readonly bytes: Uint8Array,
  ) {}
  get size(): number {
    return this.bytes.length;
  }
  toJSON(): { readonly file: string; readonly size: number } {
    return { file: this.file, size: this.size };
  }
}
