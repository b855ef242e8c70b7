/** What a new design can begin with: the ids of the tools, and the words of the buttons. */
export const beginnings = [
  { tool: "box", words: "a box" },
  { tool: "plane", words: "a plane" },
] as const;
