/** What the browser knows of the service, from the service's own description: its types, and how parameters stand on cards. */
import { readFileSync, writeFileSync } from "node:fs";
import openapiTS, { astToString } from "openapi-typescript";
import ts from "typescript";

const description = JSON.parse(readFileSync("../docs/openapi.json", "utf8"));
const note = "/** Made by `make types` from the service's description; not to be changed by hand. */\n";

/** Arrays of the live channel come as bytes and are typed arrays here. */
const arrays = { float32s: "Float32Array", float64s: "Float64Array", int32s: "Int32Array", uint8s: "Uint8Array" };
const transform = ({ format }) => (arrays[format] ? ts.factory.createTypeReferenceNode(arrays[format]) : undefined);

const schema = await openapiTS(new URL("../../docs/openapi.json", import.meta.url), { defaultNonNullable: false, transform });
writeFileSync("src/model/schema.generated.d.ts", note + astToString(schema));

const { schemas } = description.components;
const kinds = schemas.CommandAt.properties.command.discriminator.mapping;
const parameters = {};
const sticking = [];
for (const [kind, address] of Object.entries(kinds).sort()) {
  const { properties } = schemas[address.split("/").at(-1)];
  if (properties.stick) sticking.push(kind);
  for (const [name, given] of Object.entries(properties)) {
    const card = given["x-card"];
    if (card) (parameters[kind] ??= {})[name] = asField(card, given);
  }
}
const lines = Object.entries(parameters).flatMap(([kind, fields]) => [
  `  "${kind}": {`,
  ...Object.entries(fields).map(([name, field]) => `    ${name}: ${JSON.stringify(field)},`),
  "  },",
]);
const cuts = Object.entries(schemas.LayStones.properties.cut.discriminator.mapping).map(([kind, address]) => {
  const { title, properties } = schemas[address.split("/").at(-1)];
  const { kind: _, ...own } = Object.fromEntries(Object.entries(properties).filter(([, given]) => given.type !== "array").map(([name, given]) => [name, given.default]));
  return `  "${kind}": ${JSON.stringify({ name: title.replace(/(?<!^)[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`), begins: own })},`;
});
lines.push("} as const;", "", "/** Kinds of commands that can keep the surface on a scan. */", `export const sticking: ReadonlySet<string> = new Set(${JSON.stringify(sticking)});`);
lines.push("", "/** The cuts of stones, and the proportions that each begins with. */", "export const cuts = {", ...cuts);
writeFileSync("src/model/parameters.generated.ts", [`${note}export const liveVersion = ${description["x-live-channel"].version};\n\nexport const parameters = {`, ...lines, "} as const;", ""].join("\n"));

function asField({ label, unit, step, words }, given) {
  const help = given.description ? { help: given.description } : {};
  if (words) {
    const initial = typeof given.default === "boolean" ? (given.default ? "yes" : "no") : (given.default ?? words[0][0]);
    return { label, initial, words, ...help };
  }
  const type = given.anyOf?.find((one) => one.type !== "null") ?? given;
  // Shares are kept from 0 to 1 and shown in per cent.
  const shown = (x) => (x === undefined ? undefined : unit === "%" ? 100 * x : x);
  return {
    label,
    unit,
    step: step ?? 1,
    initial: shown(given.default ?? undefined),
    ...(type.exclusiveMinimum === undefined ? { min: shown(type.minimum) } : { above: shown(type.exclusiveMinimum) }),
    ...(type.exclusiveMaximum === undefined ? { max: shown(type.maximum) } : { below: shown(type.exclusiveMaximum) }),
    ...(type.type === "integer" ? { whole: true } : {}),
    ...help,
  };
}
