import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runInNewContext } from 'node:vm';

const md5 = (text) => createHash('md5').update(text).digest('hex');

/** A script without what leads to its source map, which no longer fits. */
const withoutMap = (text) => text.replace(/\n\/\/# (sourceMappingURL|debugId)=[^\n]*/g, '');

/** Whether a script is a part of the application: a worker brings all it needs, the loader of modules first. */
const isPart = (code) => code.startsWith('__d(');

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
 * too. Here each of its modules goes where it is needed: what the page of the list needs into the first chunk, what the
 * workbench needs beyond that into the workbench's, and the rest into each part that needs it (a module that is defined
 * twice is kept as it was first defined).
 * @param folder of the exported application
 */
export function joinSharedChunk(folder) {
  const scripts = join(folder, '_expo/static/js/web');
  const address = (name) => `/_expo/static/js/web/${name}`;
  const read = (name) => withoutMap(readFileSync(join(scripts, name), 'utf8'));
  const names = readdirSync(scripts).filter((name) => name.endsWith('.js'));
  const named = (start) => names.find((name) => name.startsWith(start));
  const [shared, workbench, entry] = ['__common', 'ShotScreen', 'entry'].map(named);
  if (!shared) return;

  const chunks = new Map(
    names.flatMap((name) => (name !== shared && isPart(read(name)) ? [[name, read(name)]] : [])),
  );
  const modules = read(shared).split(/\n(?=__d\()/);
  const byId = new Map(modules.map((module) => [[...modulesOf(module).defined][0], module]));
  if (byId.size !== modulesOf(read(shared)).defined.size)
    throw new Error(
      'The shared chunk is not written module by module any more: scripts/joinChunks.mjs has to change.',
    );
  /** The shared modules that a chunk needs, and that those need, without the ones that are there already. */
  const sharedBy = (name, there = new Set()) => {
    const wanted = [...modulesOf(chunks.get(name)).needed];
    const found = new Set();
    for (let id; (id = wanted.pop()) !== undefined;) {
      if (!byId.has(id) || there.has(id) || found.has(id)) continue;
      found.add(id);
      wanted.push(...modulesOf(byId.get(id)).needed);
    }
    return found;
  };
  const first = sharedBy(entry);
  const bench = new Set([...first, ...sharedBy(workbench, first)]);
  const isEarly = (name) => chunks.get(entry).includes(`"${address(name)}"`);
  const thereFor = (name) => {
    if (name === entry) return new Set();
    return name === workbench || isEarly(name) ? first : bench;
  };
  const whole = [...chunks].map(([name, code]) => {
    const added = [...sharedBy(name, thereFor(name))].map((id) => byId.get(id));
    return [name, added.length === 0 ? code : `${added.join('\n')}\n${code}\n`];
  });

  // A chunk names others: its own name has to change with theirs, so that no browser keeps it too long.
  const state = md5(whole.map(([, text]) => text).join(''));
  const renamed = whole.map(([name, text]) => [
    address(name),
    address(name.replace(/-[0-9a-f]{32}\.js$/, `-${md5(state + text)}.js`)),
  ]);
  const retarget = (text) => renamed.reduce((changed, [from, to]) => changed.replaceAll(from, to), text);
  for (const name of [shared, ...chunks.keys()]) rmSync(join(scripts, name));
  for (const [name, text] of whole) writeFileSync(join(folder, retarget(address(name))), retarget(text));
  const page = join(folder, 'index.html');
  const html = readFileSync(page, 'utf8').replace(`<script src="${address(shared)}" defer></script>`, '');
  writeFileSync(page, retarget(html));
}
