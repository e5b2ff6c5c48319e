type Cookie = { readonly value: string }

/** A screen's cookies in memory, in place of a request's. */
export class CookieJar {
  private readonly kept = new Map<string, string>()
  get(name: string): Cookie | undefined {
    const value = this.kept.get(name)
    return value === undefined ? undefined : { value }
  }
  set(name: string, value: string): void {
    this.kept.set(name, value)
  }
  delete(name: string): void {
    this.kept.delete(name)
  }
}
