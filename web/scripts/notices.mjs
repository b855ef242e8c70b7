import { existsSync, readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";

/** The package that a file belongs to: `…/node_modules/a/node_modules/b/x.js` is of b. */
function packageOf(file) {
  let folder = dirname(file);
  while (folder.includes("node_modules")) {
    const description = join(folder, "package.json");
    // Some have further descriptions inside, which hold no name or no version.
    if (existsSync(description)) {
      const { name, version, license } = JSON.parse(readFileSync(description, "utf8"));
      if (name && version) return { name, version, license, folder };
    }
    folder = dirname(folder);
  }
  return undefined;
}

function textOf({ name, version, license, folder }) {
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying)/i.test(one));
  const text = file ? readFileSync(join(folder, file), "utf8").trim() : "The package comes without the text of its licence.";
  return `${name} ${version} (${license ?? "see below"})\n\n${text}\n`;
}

/** Writes `assets/notices.txt`: each package of which something is shipped to the browser, with its licence. */
export function notices(further) {
  return {
    name: "notices",
    generateBundle() {
      const found = new Map();
      for (const file of [...this.getModuleIds(), ...further]) {
        const one = packageOf(file.replace(/^\0/, "").split("?")[0]);
        if (one) found.set(`${one.name} ${one.version}`, one);
      }
      const texts = [...found.entries()].sort(([a], [b]) => a.localeCompare(b)).map(([, one]) => textOf(one));
      const source = `What this page is made of besides Zinc Otter's own code.\n\n${texts.join(`\n${"-".repeat(80)}\n\n`)}`;
      this.emitFile({ type: "asset", fileName: "assets/notices.txt", source });
    },
  };
}
