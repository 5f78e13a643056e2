import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './install.mjs'

const LOCK = join(ROOT, '.cache', 'making.lock')
const HOLDER = join(LOCK, 'pid')
const LOOK_MS = 200

const wait = (ms) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms)

/** Whether whoever holds the lock still runs; one that has not written its number yet is given the time to. */
function isHeld() {
  try {
    process.kill(Number(readFileSync(HOLDER, 'utf8')), 0)
    return true
  } catch (error) {
    if (error.code === 'EPERM') return true
    if (error.code !== 'ENOENT') return false
    wait(LOOK_MS)
    try {
      readFileSync(HOLDER, 'utf8')
      return true
    } catch {
      return false
    }
  }
}

function take() {
  try {
    mkdirSync(LOCK)
    writeFileSync(HOLDER, String(process.pid))
    return true
  } catch (error) {
    if (error.code !== 'EEXIST') throw error
    return false
  }
}

/** Installs and builds in this clone one at a time: a second start waits for what the first one makes, and finds it made. */
export function inTurn(make) {
  mkdirSync(join(ROOT, '.cache'), { recursive: true })
  for (let told = false; !take(); ) {
    if (!isHeld()) {
      rmSync(LOCK, { recursive: true, force: true })
      continue
    }
    if (!told) console.log('Another start is installing or building here: waiting for it…')
    told = true
    wait(LOOK_MS)
  }
  const letGo = () => rmSync(LOCK, { recursive: true, force: true })
  process.once('exit', letGo)
  try {
    make()
  } finally {
    letGo()
    process.off('exit', letGo)
  }
}
