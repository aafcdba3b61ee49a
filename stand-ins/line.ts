import { createServer, type Server, type Socket } from 'node:net';

/** A line that devices of a shop would be on: whoever joins hears what is said. */
export class Line {
  private readonly server: Server;
  private readonly joined = new Set<Socket>();
  /** Is the cable in? Pulled, nobody is heard and nobody hears. */
  private whole = true;

  constructor(heard: (text: string, answer: (text: string) => void) => void = () => {}) {
    this.server = createServer((socket) => {
      if (!this.whole) return socket.destroy();
      this.joined.add(socket);
      socket.setNoDelay(true);
      socket.on('data', (data) => heard(data.toString('latin1'), (text) => this.sayTo(socket, text)));
      socket.on('close', () => this.joined.delete(socket));
      socket.on('error', () => socket.destroy());
      return socket;
    });
  }

  listen(port: number): Promise<void> {
    return new Promise((resolve, reject) => {
      this.server.once('error', reject);
      this.server.listen(port, '127.0.0.1', () => resolve());
    });
  }

  say(text: string): void {
    if (text !== '') for (const socket of this.joined) this.sayTo(socket, text);
  }
  private sayTo(socket: Socket, text: string): void {
    if (text !== '' && this.whole && !socket.destroyed) socket.write(text, 'latin1');
  }

  get isWhole(): boolean {
    return this.whole;
  }
  pull(whole: boolean): void {
    this.whole = whole;
    if (!whole) for (const socket of this.joined) socket.destroy();
  }

  close(): Promise<void> {
    this.pull(false);
    return new Promise((resolve) => this.server.close(() => resolve()));
  }
}
