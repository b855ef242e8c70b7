/** The follower that is being changed, and solids brought in from files, to combine with. */
import { create } from "zustand";
import type { AnyFollower, AnyProof, SolidFile } from "../../model/types";

interface FollowersStore {
  editing: { piece: string; follower: AnyFollower } | null;
  /** The grown piece that is to grow otherwise. */
  regrowing: string | null;
  /** The proof that is to ask something else. */
  proving: AnyProof | null;
  solids: SolidFile[];
}

export const useFollowers = create<FollowersStore>(() => ({ editing: null, regrowing: null, proving: null, solids: [] }));
