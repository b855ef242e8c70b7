/** The live channel: previews with back-pressure (one under way, the newest waiting), commits, and reconnecting. */
import { answered, asked, took } from "./asking";
import { pack, unpack } from "./packing";
import { liveVersion } from "../model/parameters.generated";
import type { Asked, AskedCurves, Command, Message } from "../model/types";

export interface Listener {
  message(message: Message): void;
  connected(yes: boolean): void;
  gone(): void;
  /** The service has moved on to another version than this page. */
  outdated(): void;
}

const DESIGN_GONE = 4404;

export class Channel {
  private socket: WebSocket | null = null;
  private closed = false;
  private seq = 0;
  private underWay = 0;
  private since = 0;
  /** The message of which the service said that it takes long. */
  private slow = 0;
  /** The last message that is answered by one with its number. */
  private lastAsked = 0;
  private waiting: { revision: number; command: Command } | null = null;
  /** A preview was asked for and not called off: it is shown, or may still come. */
  previewing = false;

  constructor(
    private readonly design: string,
    private readonly listener: Listener,
  ) {
    this.open();
  }

  /** Show what a command would lead to. While one preview is under way only the newest of the rest is kept. */
  preview(revision: number, command: Command): void {
    this.previewing = true;
    if (this.underWay) {
      this.waiting = { revision, command };
      this.stopSlow();
    }
    else {
      this.since = performance.now();
      this.underWay = this.send({ do: "preview", revision, command });
    }
  }

  /** The number of the message by which the answer will be known; 0 where there is no connection. */
  commit(revision: number, command: Command, instead = false): number {
    // A preview of the same that is being worked on becomes the step.
    this.waiting = null;
    this.previewing = false;
    return this.send({ do: "commit", revision, command, instead });
  }

  smooth(level: number | null): void {
    this.send({ do: "level", level });
  }

  /** The number of the message by which the answer will be known; 0 where there is no connection. */
  cancel(): number {
    this.waiting = null;
    this.stopSlow();
    this.previewing = false;
    return this.send({ do: "cancel" });
  }

  weigh(asked: Pick<Extract<Asked, { do: "weigh" }>, "piece" | "picked" | "reach">): void {
    this.send({ do: "weigh", ...asked });
  }

  curves(asked: AskedCurves | null): void {
    this.send({ do: "curves", asked });
  }

  /** Tell the gaps between these pieces with every frame; between none, no more. */
  gaps(pieces: string[]): void {
    this.send({ do: "gaps", pieces });
  }

  /** Tell what a proof asks of all over its form, with every frame; null for none, no more. */
  map(proof: string | null): void {
    this.send({ do: "map", proof });
  }

  /** Ask whether the kernel has made solids by now. */
  bodies(): void {
    this.send({ do: "bodies" });
  }

  /** Stop what is being worked on; what was asked for is answered by a refusal. */
  stop(): void {
    this.waiting = null;
    this.halt(0);
  }

  /** 0 stops all that was asked for. */
  private halt(of: number): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(pack({ do: "stop", of, seq: 0 }));
  }

  /** A preview that takes long is only in the way of what is asked for after it; a step that waits behind it is not to go with it. */
  private stopSlow(): void {
    if (this.underWay && this.slow === this.underWay) this.halt(this.underWay);
  }

  close(): void {
    this.closed = true;
    this.socket?.close();
  }

  /** What comes in another version cannot be understood: nothing more is said, and the page is to be loaded again. */
  private retire(): void {
    this.close();
    this.listener.outdated();
  }

  private send(message: Asked): number {
    if (this.socket?.readyState !== WebSocket.OPEN) return 0;
    this.seq += 1;
    this.socket.send(pack({ ...message, seq: this.seq }));
    if (message.do !== "bodies") {
      this.lastAsked = this.seq;
      asked(this);
    }
    return this.seq;
  }

  private open(): void {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(`${scheme}://${location.host}/api/designs/${this.design}/live`);
    socket.binaryType = "arraybuffer";
    this.socket = socket;
    socket.onopen = () => this.listener.connected(true);
    socket.onmessage = (event: MessageEvent<ArrayBuffer>) => {
      const message = unpack(event.data) as Message;
      if (message.type === "state" && message.version !== liveVersion) return this.retire();
      this.listener.message(message);
      if (message.type === "working") {
        this.slow = message.seq;
        if (this.waiting) this.stopSlow();
        return;
      }
      if (message.type === "bodies" || message.type === "proofs" || message.type === "found") return;
      if (message.seq === this.underWay) {
        this.underWay = 0;
        took(performance.now() - this.since);
        if (this.waiting) {
          const { revision, command } = this.waiting;
          this.waiting = null;
          this.preview(revision, command);
        }
      }
      if (message.seq === this.lastAsked) answered(this);
    };
    socket.onclose = (event) => {
      answered(this);
      this.underWay = 0;
      this.waiting = null;
      this.previewing = false;
      if (this.closed) return;
      if (event.code === DESIGN_GONE) this.listener.gone();
      else {
        this.listener.connected(false);
        setTimeout(() => !this.closed && this.open(), 800);
      }
    };
  }
}
