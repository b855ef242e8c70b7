type Tone = [number, number, number];

/** The workshop's clays by name: lit and shaded tone. */
export const clays: Record<string, { lit: Tone; shade: Tone }> = {
  clay: { lit: [214, 178, 148], shade: [84, 64, 54] },
  slip: { lit: [232, 224, 208], shade: [112, 106, 98] },
  slate: { lit: [150, 164, 174], shade: [50, 60, 70] },
  moss: { lit: [158, 176, 132], shade: [56, 68, 46] },
  brick: { lit: [204, 132, 108], shade: [84, 42, 34] },
  ochre: { lit: [222, 190, 116], shade: [96, 74, 34] },
  mist: { lit: [186, 206, 208], shade: [70, 92, 98] },
};
