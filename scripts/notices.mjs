// Writes THIRD-PARTY.md: what Leeward is built of that others made. With --check it only says whether the page is current.
// The Java part is read from the bill of materials that the server's build leaves behind, the page's part from its packages.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const BOM = 'server/target/classes/META-INF/sbom/application.cdx.json';
const PAGE = 'THIRD-PARTY.md';
const row = (name, version, licence) => `| ${name} | ${version} | ${licence} |`;

function java() {
  const components = JSON.parse(readFileSync(BOM, 'utf8')).components.filter((c) => c.group !== 'app.leeward');
  const licence = (c) =>
    (c.licenses ?? []).map((l) => l.expression ?? l.license.id ?? l.license.name).join(' or ') || 'not stated';
  return components
    .map((c) => row(`${c.group}:${c.name}`, c.version, licence(c)))
    .sort()
    .filter((line, i, all) => line !== all[i - 1]);
}

/** What goes into the page: its dependencies and theirs, none of the tools it is made with. */
function page() {
  const lock = JSON.parse(readFileSync('web/package-lock.json', 'utf8')).packages;
  return Object.entries(lock)
    .filter(([path, p]) => path.startsWith('node_modules/') && !p.dev && !p.devOptional && !p.optional)
    .map(([path, p]) => row(path.replace(/^.*node_modules\//, ''), p.version, p.license ?? 'not stated'))
    .sort()
    .filter((line, i, all) => line !== all[i - 1]);
}

/** What of Java core is compiled with for the page. */
function compiled() {
  const version = /<teavm.version>([^<]+)</.exec(readFileSync('pom.xml', 'utf8'))[1];
  return ['teavm-classlib', 'teavm-jso'].map((name) => row(`org.teavm:${name}`, version, 'Apache-2.0'));
}

const head = ['| what | version | licence |', '|---|---|---|'];
const text = [
  '# What others made',
  '',
  'Leeward is made of its own code and of what is listed here. The list is written by `node scripts/notices.mjs` and checked by the',
  "tests; the same, with hashes, lies in the server's archive as a CycloneDX bill of materials (`META-INF/sbom/application.cdx.json`).",
  '',
  '## Data',
  '',
  ...head,
  row('Atkinson Hyperlegible (text)', 'as packaged by @fontsource', 'OFL-1.1'),
  row('Bricolage Grotesque (headings)', 'as packaged by @fontsource-variable', 'OFL-1.1'),
  row('English acoustic model and pronouncing dictionary (CMU)', 'as packaged in sphinx4-data; the dictionary once more, cut into units of letters and sounds', 'BSD-2-Clause style, Carnegie Mellon University'),
  row('Icons', 'lucide', 'ISC'),
  '',
  "The demo's art, words and recordings are this project's own.",
  '',
  '## In the server',
  '',
  ...head,
  ...java(),
  '',
  '## In the page',
  '',
  ...head,
  ...page(),
  ...compiled(),
  '',
].join('\n');

if (process.argv.includes('--check')) {
  if (!existsSync(PAGE) || readFileSync(PAGE, 'utf8') !== text) {
    console.error(`${PAGE} is not current: run node scripts/notices.mjs after a build, and look at what is new in it.`);
    process.exit(1);
  }
} else {
  writeFileSync(PAGE, text);
}
