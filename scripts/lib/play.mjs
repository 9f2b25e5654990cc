import { createHash } from 'node:crypto';
import { copyFileSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import { root } from './install.mjs';
import { say, Stop } from './say.mjs';

/** Play is no page of the framework: it is one small bundle of its own, with a worker that keeps it on the device. */
const SOURCE = join(root, 'features/play/shell');
const OUT = join(root, 'public/shell');
/** Tools at the green are a page beside it, which play does not load; the same worker keeps both. */
const TOOLS = join(root, 'features/tools/phone');
const PAGE_SOURCES = ['features/play/shell/page.html', 'features/tools/phone/page.html'];
/** Addresses that are the page of play, and that of the tools. */
const PAGES = ['/play', '/j'];
const TOOLS_PAGE = '/play/tools';

/** Builds play and its service worker into `public/shell`, and says how large its scripts are. */
export async function buildPlay({ watch = false } = {}) {
  const esbuild = await import('esbuild');
  rmSync(OUT, { recursive: true, force: true });
  const options = await optionsOf(esbuild, watch, () => tools.metafile);
  const tools = await esbuild.build(await toolsOptions(esbuild, watch));
  if (!watch) {
    const { metafile } = await esbuild.build(options);
    for (const made of [metafile, tools.metafile]) await dropUnusedStyles(made);
    await finish(esbuild, metafile, tools.metafile);
    weigh(metafile);
    return;
  }
  const context = await esbuild.context(options);
  await context.watch();
}

/** The tools, and the worker that works out landing spots for them. */
async function toolsOptions(esbuild, watch) {
  const options = await optionsOf(esbuild, watch);
  return {
    ...options,
    entryPoints: { tools: join(TOOLS, 'main.tsx'), landing: join(root, 'workers/landing.ts') },
    plugins: [await styles(), lessOfSchemas, askedGestures, nothingMissing, ownWorker],
  };
}

/** At the desk the framework bundles the worker; here it is a file beside the page, under a name that the page is told. */
const ownWorker = {
  name: 'own worker',
  setup(build) {
    build.onLoad({ filter: /features\/tools\/landing\/start-worker\.ts$/ }, () => ({
      contents:
        "export const startLandingWorker = () => new Worker(document.querySelector('link[rel=landing]').getAttribute('href'), { type: 'module' });",
      loader: 'ts',
    }));
  },
};

/** On a phone the screens are drawn by a library that does as the desk's does and is much smaller: a slow phone reads that much sooner. */
const SMALLER = {
  'react/jsx-runtime': 'preact/jsx-runtime',
  'react-dom/client': 'preact/compat/client',
  'react-dom': 'preact/compat',
  react: 'preact/compat',
};

async function optionsOf(esbuild, watch, tools) {
  const afterwards = {
    name: 'page and worker',
    setup: (build) => build.onEnd(({ metafile }) => (watch && metafile ? finish(esbuild, metafile, tools()) : undefined)),
  };
  return {
    entryPoints: { play: join(SOURCE, 'main.tsx'), ahead: join(SOURCE, 'ahead.ts') },
    outdir: OUT,
    bundle: true,
    format: 'esm',
    target: 'es2022',
    jsx: 'automatic',
    alias: SMALLER,
    minify: !watch,
    metafile: true,
    entryNames: '[name]-[hash]',
    assetNames: '[name]-[hash]',
    publicPath: '/shell/',
    loader: { '.woff2': 'file' },
    define: { 'process.env.NODE_ENV': JSON.stringify(watch ? 'development' : 'production') },
    tsconfig: join(root, 'tsconfig.json'),
    absWorkingDir: root,
    logLevel: 'error',
    plugins: [await styles(), lessOfSchemas, askedGestures, nothingMissing, afterwards],
  };
}

/**
 * The schema library brings its messages in fifty languages, and can say each schema in another notation; no bundler can tell that neither is
 * used at the green. One language is enough, and a schema is only read.
 */
const NO_NOTATION = [
  { file: 'to-json-schema', names: ['createToJSONSchemaMethod', 'createStandardJSONSchemaMethod'] },
  { file: 'json-schema-processors', names: ['toJSONSchema'] },
  { file: 'json-schema-generator', names: ['JSONSchemaGenerator'] },
];
const lessOfSchemas = {
  name: 'less of schemas',
  setup(build) {
    build.onLoad({ filter: /zod\/v4\/locales\/index\.js$/ }, () => ({ contents: "export { default as en } from './en.js';" }));
    build.onLoad({ filter: /zod\/v4\/core\/(to-json-schema|json-schema-processors|json-schema-generator)\.js$/ }, ({ path }) => ({
      contents: NO_NOTATION.filter(({ file }) => path.endsWith(`/${file}.js`))
        .flatMap(({ names }) => names.map((name) => `export const ${name} = () => undefined;`))
        .join('\n'),
    }));
  },
};

/** Nothing may be asked of a library that it has not: of the smaller one for screens what only the other one has. Only how schemas are noted down is left out. */
const nothingMissing = {
  name: 'nothing missing',
  setup(build) {
    build.onEnd(({ warnings }) => ({ errors: warnings.filter(({ text }) => !text.includes('json-schema-processors.js')) }));
  },
};

/**
 * The library of gestures tries whether a browser has one of its own kind by letting it fail. To note where, a browser reads all scripts a second time:
 * a third of a second on a slow phone.
 */
const TRIED = "return 'constructor' in GestureEvent;";
const askedGestures = {
  name: 'asked gestures',
  setup(build) {
    build.onLoad({ filter: /@use-gesture\/core\/dist\/actions-\w+\.esm\.js$/ }, ({ path }) => {
      const text = readFileSync(path, 'utf8');
      if (!text.includes(TRIED)) return { errors: [{ text: 'The library of gestures asks for its events in another way now.' }] };
      return { contents: text.replace(TRIED, "return 'GestureEvent' in globalThis;") };
    });
  },
};

/** Sass, with classes kept to their module where the file is called so. */
async function styles() {
  const sass = await import('sass');
  return {
    name: 'sass',
    setup(build) {
      build.onLoad({ filter: /\.scss$/ }, ({ path }) => {
        const { css, loadedUrls } = sass.compile(path, {
          loadPaths: [join(root, 'node_modules')],
          importers: [new sass.NodePackageImporter(root)],
          style: 'compressed',
          quietDeps: true,
          silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
        });
        return {
          contents: css,
          loader: path.endsWith('.module.scss') ? 'local-css' : 'css',
          resolveDir: dirname(path),
          watchFiles: loadedUrls.map((url) => fileURLToPath(url)),
        };
      });
    },
  };
}

/**
 * Leaves the styles out of which neither a script nor a page names an element or a class: most of the style library is for pages of the desk. What is left has a name of
 * its own, as it follows from the scripts too.
 */
async function dropUnusedStyles({ outputs }) {
  const { PurgeCSS } = await import('purgecss');
  const textOf = (path) => readFileSync(join(root, path), 'utf8');
  const named = [...Object.keys(outputs).filter((path) => path.endsWith('.js')), ...PAGE_SOURCES];
  const content = named.map((path) => ({ raw: textOf(path), extension: 'js' }));
  for (const path of Object.keys(outputs).filter((one) => one.endsWith('.css'))) {
    const defaultExtractor = (text) => text.match(/[\w-]+/g) ?? [];
    const [{ css }] = await new PurgeCSS().purge({ content, css: [{ raw: textOf(path) }], defaultExtractor });
    const left = path.replace(/-\w+\.css$/, `-${hashOf(css)}.css`);
    rmSync(join(root, path));
    writeFileSync(join(root, left), css);
    outputs[left] = outputs[path];
    delete outputs[path];
  }
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex').slice(0, 16);

/** What a phone asks for when it installs the page: the manifest, and icons drawn from `app/icon.svg`. */
function copyBeside() {
  const icons = readdirSync(join(SOURCE, 'icons')).map((name) => [name, join(SOURCE, 'icons', name)]);
  return [...icons, ['manifest.webmanifest', join(SOURCE, 'manifest.webmanifest')]].map(([name, path]) => {
    copyFileSync(path, join(OUT, name));
    return { url: `/shell/${name}`, text: readFileSync(path) };
  });
}

/** Writes the pages, then the worker with the list of all files it keeps. */
async function finish(esbuild, metafile, tools) {
  const files = [...new Set([metafile, tools].flatMap(({ outputs }) => Object.keys(outputs)))].map((path) => path.slice('public'.length));
  const named = (start, end) => files.find((file) => file.startsWith(`/shell/${start}-`) && file.endsWith(end));
  const filled = (html, name) =>
    readFileSync(html, 'utf8')
      .replace('{{ahead}}', named('ahead', '.js'))
      .replace('{{style}}', named(name, '.css'))
      .replace('{{script}}', named(name, '.js'))
      .replace('{{landing}}', named('landing', '.js'));
  const page = filled(join(SOURCE, 'page.html'), 'play');
  const toolsPage = filled(join(TOOLS, 'page.html'), 'tools');
  writeFileSync(join(OUT, 'page.html'), page);
  writeFileSync(join(OUT, 'tools.html'), toolsPage);
  const beside = copyBeside();
  const revision = hashOf(page);
  const kept = [
    ...PAGES.map((url) => ({ url, revision })),
    { url: TOOLS_PAGE, revision: hashOf(toolsPage) },
    ...files.map((url) => ({ url, revision: null })),
    { url: '/icon.svg', revision },
    ...beside.map(({ url, text }) => ({ url, revision: hashOf(text) })),
  ];
  await esbuild.build({
    entryPoints: [join(SOURCE, 'worker.ts')],
    outfile: join(OUT, 'worker.js'),
    bundle: true,
    format: 'iife',
    target: 'es2022',
    minify: true,
    define: { SHELL_FILES: JSON.stringify(kept), 'process.env.NODE_ENV': '"production"' },
    absWorkingDir: root,
  });
}

/** What the scripts of play may weigh with gzip, in kB: they are loaded on a phone, at the green. */
const MOST_KB = 150;

/** Says how large the scripts of play are, its worker included; too large is no build. */
function weigh(metafile) {
  const scripts = [...Object.keys(metafile.outputs).filter((path) => path.endsWith('.js')), 'public/shell/worker.js'];
  const text = scripts.map((path) => readFileSync(join(root, path)));
  const sum = (size) => text.reduce((all, one) => all + size(one), 0) / 1000;
  const zipped = sum((one) => gzipSync(one, { level: 9 }).length);
  say(`Play: ${zipped.toFixed(1)} kB of script with gzip (${sum((one) => one.length).toFixed(1)} kB plain), of ${MOST_KB} allowed`);
  if (zipped > MOST_KB) throw new Stop('The scripts of play are too large.');
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) await buildPlay();
