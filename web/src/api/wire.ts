/** For tests: a socket whose other end is the test. */
export class Wire {
  static open: Wire[] = [];
  onopen: (() => void) | null = null;
  onmessage: ((e: { data: string }) => void) | null = null;
  onclose: (() => void) | null = null;
  sent: string[] = [];
  closed = false;
  constructor(readonly url: string) {
    Wire.open.push(this);
  }
  send(text: string) {
    this.sent.push(text);
  }
  close() {
    this.closed = true;
    this.onclose?.();
  }
  says(message: object) {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
}
