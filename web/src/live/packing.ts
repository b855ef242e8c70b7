/** MessagePack with typed arrays, as the service packs them: one extension type for each kind of number. */
import { decode, encode, ExtensionCodec } from "@msgpack/msgpack";

const codec = new ExtensionCodec();
const kinds = { 1: Float32Array, 2: Float64Array, 3: Int32Array, 4: Uint8Array } as const;

for (const [type, Kind] of Object.entries(kinds))
  codec.register({
    type: Number(type),
    encode: () => null,
    // The bytes may lie at any offset of the message: copy them to where the array can stand.
    decode: (data) => new Kind(data.slice().buffer),
  });

export const pack = (message: unknown): Uint8Array<ArrayBuffer> => encode(message) as Uint8Array<ArrayBuffer>;
export const unpack = (data: ArrayBuffer): unknown => decode(data, { extensionCodec: codec });
