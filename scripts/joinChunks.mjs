import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runInNewContext } from 'node:vm';

/** A script without what leads to its source map, which no longer fits. */
const withoutMap = (text) => text.replace(/\n\/\/# (sourceMappingURL|debugId)=[^\n]*/g, '');

/** The ids of the modules that a chunk defines, and of those that they need at once. */
function modulesOf(code) {
  const defined = new Set();
  const needed = new Set();
  const define = (_, id, dependencies) => {
    defined.add(id);
    if (Array.isArray(dependencies)) for (const other of dependencies) needed.add(other);
    else
      for (const [key, other] of Object.entries(dependencies ?? {})) if (key !== 'paths') needed.add(other);
  };
  runInNewContext(code, { __d: define, __r: () => undefined });
  return { defined, needed };
}

/**
 * The bundler puts what several later parts share into one chunk and has every page load it first, the list of shots
 * too. Most of it belongs to the workbench: here it becomes part of the workbench's own chunk, which is loaded before
 * any of the parts that need it. What a part of the list needs of it goes into the first chunk.
 * @param folder of the exported application
 */
export function joinSharedChunk(folder) {
  const scripts = join(folder, '_expo/static/js/web');
  const address = (name) => `/_expo/static/js/web/${name}`;
  const read = (name) => withoutMap(readFileSync(join(scripts, name), 'utf8'));
  const named = (start) =>
    readdirSync(scripts).find((name) => name.startsWith(start) && name.endsWith('.js'));
  const [shared, workbench, entry] = ['__common', 'ShotScreen', 'entry'].map(named);
  if (!shared) return;

  const code = { shared: read(shared), workbench: read(workbench), entry: read(entry) };
  const modules = code.shared.split(/\n(?=__d\()/);
  const byId = new Map(modules.map((module) => [[...modulesOf(module).defined][0], module]));
  if (byId.size !== modulesOf(code.shared).defined.size)
    throw new Error(
      'The shared chunk is not written module by module any more: scripts/joinChunks.mjs has to change.',
    );
  const early = readdirSync(scripts).filter(
    (name) => name !== workbench && code.entry.includes(`"${address(name)}"`),
  );
  const wanted = early.flatMap((name) => [...modulesOf(read(name)).needed]);
  const first = new Set();
  for (let id; (id = wanted.pop()) !== undefined;) {
    if (!byId.has(id) || first.has(id)) continue;
    first.add(id);
    wanted.push(...modulesOf(byId.get(id)).needed);
  }
  const modulesThat = (areFirst) =>
    [...byId].flatMap(([id, module]) => (first.has(id) === areFirst ? [module] : [])).join('\n');

  /** Puts new code in the place of a script under a name that says what is in it; its new name. */
  const replace = (name, text) => {
    const hash = createHash('md5').update(text).digest('hex');
    const next = name.replace(/-[0-9a-f]{32}\.js$/, `-${hash}.js`);
    rmSync(join(scripts, name));
    writeFileSync(join(scripts, next), text);
    return next;
  };
  const joined = replace(workbench, `${modulesThat(false)}\n${code.workbench}\n`);
  rmSync(join(scripts, shared));
  const main = replace(
    entry,
    `${modulesThat(true)}\n${code.entry.replaceAll(address(workbench), address(joined))}`,
  );
  const page = join(folder, 'index.html');
  writeFileSync(
    page,
    readFileSync(page, 'utf8')
      .replace(`<script src="${address(shared)}" defer></script>`, '')
      .replace(address(entry), address(main)),
  );
}
