// Builds public/ from app/assets and the npm packages: fonts, a script for each kind of page, one
// style sheet. Skips what is current.
import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { buildSync } from "esbuild";

const modules = "node_modules";
const fonts = [
  ["@fontsource-variable/bricolage-grotesque", "bricolage-grotesque-latin-wght-normal.woff2"],
  ["@fontsource-variable/bricolage-grotesque", "bricolage-grotesque-latin-ext-wght-normal.woff2"],
  ["@fontsource-variable/figtree", "figtree-latin-wght-normal.woff2"],
  ["@fontsource-variable/figtree", "figtree-latin-ext-wght-normal.woff2"],
];

const filesUnder = dir =>
  readdirSync(dir, { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory() ? filesUnder(join(dir, entry.name)) : [join(dir, entry.name)],
  );
const newest = paths => Math.max(...paths.map(path => statSync(path).mtimeMs));
const inputs = filesUnder("app").concat("package-lock.json", "config/assets.mjs");
const stamp = "public/.built";

if (existsSync(stamp) && statSync(stamp).mtimeMs > newest(inputs)) process.exit(0);
console.log("· building styles and scripts");
rmSync("public/scripts", { recursive: true, force: true });
for (const dir of ["public/fonts", "public/scripts", "public/styles"]) mkdirSync(dir, { recursive: true });
for (const [name, file] of fonts) cpSync(`${modules}/${name}/files/${file}`, `public/fonts/${file}`);
const entries = { page: "device/page", evening: "room/evening", phone: "my_part/phone",
  "room-keeper": "room/room-keeper", "my-keeper": "my_part/my-keeper" };
buildSync({
  entryPoints: Object.fromEntries(Object.entries(entries).map(([name, path]) => [name, `app/${path}.js`])),
  outdir: "public/scripts",
  bundle: true,
  minify: true,
  format: "iife",
  target: "es2021",
  legalComments: "none",
  logLevel: "warning",
});
for (const file of readdirSync("app/assets/images"))
  cpSync(`app/assets/images/${file}`, `public/${file}`, { recursive: true });
cpSync("app/assets/sounds", "public/sounds", { recursive: true });
execFileSync(
  `${modules}/.bin/tailwindcss`,
  ["-i", "app/assets/styles/app.css", "-o", "public/styles/app.css", "--minify"],
  { stdio: ["ignore", "ignore", "pipe"] },
);
writeFileSync(stamp, new Date().toISOString());
