/** The main view, for whoever acts on it from outside: there is one at a time, and none before it is drawn. */
import type { Scene } from "./scene";

export const mainView: { scene: Scene | null } = { scene: null };
