import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { cutAndCarry } from '#core/gear/carry';
import { armingCheck, stepsSaid } from '#core/sets/arming';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { atWork, atWorkUsually, hooksReached } from '#core/sets/order';
import type { AtWork, Order } from '#core/sets/work';
import { remakeOrders } from '#core/sets/remake';
import { ordersOf } from '#core/sets/secondTie';
import { sampleDesign } from '#core/sets/sample';
import { layOut, usualDevices } from '#core/sets/standing';
import type { SetType } from '#core/sets/setType';
import { inches } from '#core/units/factors';

/** The order of hands: common practice and our own inference, no source. */

const DEPTHS = [null, inches(-2), inches(3), inches(7), inches(7.5), inches(12.5), inches(30)];
const HOLDS = ['slide', 'live', 'tangle', 'bag'];

/** Every way in which a type can be asked for its order. */
function ways(type: SetType): AtWork[] {
  const usual = atWorkUsually(type);
  return type.devices.flatMap((device) =>
    DEPTHS.flatMap((under) =>
      ('hold' in type.choices ? HOLDS : ['slide']).flatMap((hold) =>
        [true, false].map((fenced): AtWork => ({ ...usual, device, under, fenced, choices: { ...usual.choices, hold } })),
      ),
    ),
  );
}

const text = (orders: readonly Order[]): string => orders.flatMap(({ steps }) => steps.map((s) => s.do)).join(' ');
const of = (id: string, over: Partial<AtWork> = {}): Order[] => setTypeOf(id).orders({ ...atWorkUsually(setTypeOf(id)), ...over });
const off = (orders: readonly Order[]): string => orders[0]?.steps.find((s) => s.lastReach)?.do ?? '';

describe('the order of hands', () => {
  for (const type of CATALOGUE)
    it(`${type.id}: one last touch, and nothing that needs fingers after it`, () => {
      for (const at of ways(type))
        for (const { steps } of [...type.orders(at), ...remakeOrders(type, at)]) {
          assert.equal(steps.filter((s) => s.lastReach).length, 1);
          const after = steps.slice(steps.findIndex((s) => s.lastReach) + 1);
          for (const { do: what } of after) {
            assert.doesNotMatch(what, /\b(wire (it|the)|staple|drive the|dig|bait at|tie the pole|moss at|lay the second)\b/i, what);
            if (/\b(scent|leaf|grass|cover)\b/i.test(what)) assert.match(what, /stick|chisel|snow/i, what);
          }
        }
    });
  it('ties to what was chosen, and says nothing of a stake where there is none', () => {
    for (const type of CATALOGUE.filter((t) => t.choices.anchorAs))
      for (const anchorAs of ['tree', 'root', 'log']) {
        const at = atWorkUsually(type);
        const said = text(type.orders({ ...at, choices: { ...at.choices, anchorAs } }));
        assert.doesNotMatch(said, /\b(drive|to) (the|a)( tie’s| chain’s)? stake\b/i, type.id);
      }
    assert.match(text(of('culvert-mouth', { choices: { anchorAs: 'tree' } })), /Tie the cable to a live tree, low/);
    assert.match(text(of('dive-pole', { choices: { anchorAs: 'stake' } })), /Drive a stake on the bank, tie the cable/);
  });
  it('says at its step that it is the last touch, and keeps hands away after it', () => {
    for (const type of CATALOGUE)
      for (const at of ways(type))
        for (const { steps } of type.orders(at)) {
          const said = stepsSaid(at.device, steps);
          const last = said.findIndex((s) => s.lastReach !== '');
          assert.ok(said.slice(last + 1).every((s) => s.caution !== '' || s.clear !== ''));
          assert.ok(said.slice(0, last).every((s) => s.clear === ''));
        }
  });
  it('hooks come off with the trap standing where they can be reached, at the surface where they cannot', () => {
    for (const id of ['lodge-run', 'bank-den-run', 'culvert-mouth', 'dam-break-channel', 'dive-pole', 'slide-grip', 'dam-crossover-face']) {
      assert.match(off(of(id, { under: inches(6.9) })), /with the trap standing/, id);
      assert.match(off(of(id, { under: inches(7.1) })), /at the surface/, id);
      assert.match(off(of(id, { under: inches(40) })), /at the surface/, id);
      assert.match(off(of(id, { under: inches(11.9), springsUp: true })), /with the trap standing/, id);
    }
  });
  it('a hook lies half a frame under the top where the springs lie sideways: 7 in for a 330, 9 for a 160', () => {
    assert.ok(Math.abs(hooksReached('330', false) - inches(7)) < 1e-9);
    assert.ok(Math.abs(hooksReached('160', false) - inches(9)) < 1e-9);
    assert.ok(Math.abs(hooksReached('330', true) - inches(12)) < 1e-9);
  });
  it('where the depth is not known both orders are shown, and neither is chosen', () => {
    const orders = of('lodge-run', { under: null });
    assert.equal(orders.length, 2);
    assert.ok(orders.every(({ when }) => when.length > 0));
    assert.equal(of('lodge-run', { under: inches(3) }).length, 1);
  });
  it('a 110 has one hook', () => {
    assert.match(off(of('den-run', { size: '110', under: inches(2) })), /^Take the safety hook off/);
    assert.match(off(of('lodge-run', { size: '330', under: inches(2) })), /^Take both safety hooks off/);
  });
  it('what is lowered after its hooks are off is held by stand or coil ends', () => {
    for (const id of ['lodge-run', 'bank-den-run', 'den-run', 'culvert-mouth', 'bottom-edge', 'dive-pole', 'slide-grip'])
      assert.match(text(of(id, { under: inches(30) })), /by the (top of its stand|coil ends)/, id);
  });
  it('no fence is ordered where none is needed', () => {
    assert.doesNotMatch(text(of('lodge-run', { under: inches(3), fenced: false })), /fence/i);
    assert.match(text(of('lodge-run', { under: inches(3), fenced: true })), /fences/);
    assert.doesNotMatch(text(of('lodge-run', { under: inches(30), fenced: false })), /fence/i);
  });
  it('the pole is over a dive pole before its hooks come off, where they come off last', () => {
    const [order] = of('dive-pole', { under: inches(3) });
    const steps = order?.steps.map((s) => s.do) ?? [];
    assert.ok(steps.findIndex((s) => /Tie the pole across/.test(s)) < steps.findIndex((s) => /hooks off/.test(s)));
  });
  it('a break is dug to a plug before the trap is armed, and drawn from the crest after', () => {
    for (const id of ['dam-break-breach', 'dam-break-shoulder']) {
      const [order] = of(id);
      const steps = order?.steps ?? [];
      const last = steps.findIndex((s) => s.lastReach);
      assert.ok(steps.findIndex((s) => /plug/.test(s.do)) < last, id);
      assert.match(steps.at(-1)?.do ?? '', /plug with a hoe/, id);
      assert.match(steps.at(-1)?.caution ?? '', /[Nn]ever below it/, id);
    }
  });
});

describe('steps follow what was chosen', () => {
  it('the drowning wire is for a slide only; every other hold has its own first step', () => {
    for (const type of CATALOGUE.filter((t) => 'hold' in t.choices)) {
      const at = (hold: string) => text(type.orders({ ...atWorkUsually(type), choices: { hold } }));
      if (type.id === 'dam-break-shoulder') continue;
      assert.match(at('slide'), /Deep end first/, type.id);
      for (const hold of ['live', 'tangle', 'bag']) assert.doesNotMatch(at(hold), /Deep end first|lock stays/, `${type.id} ${hold}`);
      assert.match(at('live'), /land and water/);
      assert.match(at('tangle'), /tangle stake/);
      assert.match(at('bag'), /Fill the bag/);
    }
  });
  it('a snare in the patrol channel needs no setter, no hooks and no dive pole', () => {
    const said = text(of('dam-break-channel', { device: 'snare' }));
    assert.doesNotMatch(said, /setter|hook|springs|floating pole/);
    assert.match(said, /last touch of the loop/);
    const type = setTypeOf('dam-break-channel');
    const laid = {
      numbers: {},
      choices: {},
      then: { pond: 1, tail: 0 },
      place: { kind: 'dam' as const, surface: 'pond' as const, bed: 0.2 },
    };
    const tools = (kind: 'snare' | 'bodyGrip', size: string) =>
      cutAndCarry(layOut(type, { ...laid, devices: { trap: { class: kind, size } } }, 'us'), type.tools).map((c) => c.what);
    assert.ok(tools('bodyGrip', '330').includes('setter'));
    assert.ok(!tools('snare', '7×7 3/32').includes('setter'));
  });
  it('the height as it lies decides: a typed one, and nothing that nobody measured', () => {
    const type = setTypeOf('lodge-run');
    const laid = {
      numbers: { topUnder: inches(20) },
      choices: {},
      then: { pond: 1, tail: 0 },
      place: { kind: 'run' as const, surface: 'pond' as const, bed: null },
      devices: usualDevices(type),
    };
    const design = layOut(type, laid, 'us');
    assert.ok(Math.abs((atWork(laid, design, true).under ?? 0) - inches(20)) < 1e-9);
    assert.equal(atWork(laid, design, false).under, null);
  });
  it('the arming check asks a pan for its pan, and bent wires for their bend', () => {
    const asked = (id: string, choices: Record<string, string> = {}) =>
      armingCheck(setTypeOf(id), usualDevices(setTypeOf(id)), choices)
        .flatMap((p) => p.asks.map((a) => a.text))
        .join(' ');
    assert.match(asked('cubby'), /Pan free/);
    assert.doesNotMatch(asked('cubby'), /wires inside/);
    assert.match(asked('lodge-run', { trigger: 'straightV' }), /wires inside the jaws/);
    assert.match(asked('lodge-run', { trigger: 'bottom' }), /bent as meant/);
    assert.match(asked('box', { trigger: 'pan' }), /Pan free/);
    assert.match(asked('wall-hanging'), /bent as meant/);
  });
});

describe('a remake', () => {
  it('begins with what makes the trap harmless and ends with the arming check', () => {
    for (const type of CATALOGUE)
      for (const at of ways(type))
        for (const { steps } of remakeOrders(type, at)) {
          assert.match(steps[0]?.do ?? '', /long stick|with a stick/, type.id);
          assert.match(steps.at(-1)?.do ?? '', /Arming check/);
        }
  });
  it('runs the same order as placing, without what is done once', () => {
    for (const type of CATALOGUE) {
      const at = atWorkUsually(type);
      const again = text(remakeOrders(type, at));
      for (const { steps } of type.orders(at))
        for (const step of steps) assert.equal(again.includes(step.do), !step.once, `${type.id}: ${step.do}`);
    }
  });
  it('renews what the type renews', () => {
    for (const id of ['castor-foothold', 'post-bait'])
      assert.match(text(remakeOrders(setTypeOf(id), atWorkUsually(setTypeOf(id)))), /[Ss]cent over the old/);
  });
  it('is said of the same design for both readers', () => {
    const type = setTypeOf('undercut-bank');
    assert.deepEqual(type.orders(atWorkUsually(type)), type.orders(atWorkUsually(type)));
    assert.ok(sampleDesign(type, undefined, 'metric').parts.length > 0);
  });
});

describe('a second tie', () => {
  const tied = (type: SetType, second: string) => sampleDesign(type, { id: 'tied', name: 'tied', choices: { second } }, 'us');
  const cable = (design: ReturnType<typeof tied>): number =>
    design.supplies.filter((s) => s.kind === 'cable' || s.kind === 'wire').reduce((sum, s) => sum + s.amount, 0);
  const ANCHORS = ['stake', 'tree', 'root', 'trunk'];

  it('has an anchor and a cable of its own on the drawing and on the list, and a step before anything is armed', () => {
    let asked = 0;
    for (const type of CATALOGUE.filter((t) => t.choices.second)) {
      asked += 1;
      const [one, two] = [tied(type, 'one'), tied(type, 'two')];
      const anchors = ({ parts }: typeof one) => parts.filter((p) => ANCHORS.includes(p.kind)).length;
      assert.ok(anchors(two) > anchors(one), `${type.id}: no second anchor is drawn`);
      assert.ok(cable(two) > cable(one) + inches(6), `${type.id}: no cable for it`);
      assert.equal(new Set(two.parts.map((p) => p.id)).size, two.parts.length, `${type.id}: two parts of one id`);
      const usual = atWorkUsually(type);
      for (const { steps } of ordersOf(type, { ...usual, choices: { ...usual.choices, second: 'two' } })) {
        const tie = steps.findIndex((s) => s.do.startsWith('Second tie'));
        const armed = steps.findIndex((s) => s.lastReach ?? /^(Set it|Compress|Cock|Load)/.test(s.do));
        assert.ok(tie > 0 && tie < armed, `${type.id}: tied at ${tie}, armed at ${armed}`);
      }
    }
    assert.ok(asked > 20);
  });
  it('is neither drawn nor asked about where a bag or a pole in deep water holds', () => {
    const type = setTypeOf('castor-foothold');
    for (const hold of ['bag', 'tangle']) {
      const at = { ...atWorkUsually(type), choices: { hold, second: 'two' } };
      assert.ok(!text(ordersOf(type, at)).includes('Second tie'));
      const asks = armingCheck(type, { trap: type.usual }, at.choices).flatMap((p) => p.asks);
      assert.ok(!asks.some(({ id }) => id.endsWith('secondTie')), hold);
    }
  });
});

describe('what is carried', () => {
  it('has every tool that the steps name, and nothing as a tool that is a piece already (F154)', () => {
    for (const type of CATALOGUE) {
      const list = cutAndCarry(sampleDesign(type, undefined, 'us'), type.tools);
      const steps = type.orders(atWorkUsually(type)).flatMap((order) => order.steps.map((step) => step.do));
      for (const tool of ['setter', 'hatchet', 'chisel', 'spade', 'trowel'])
        if (steps.some((said) => new RegExp(`\\b${tool}s?\\b`).test(said)))
          assert.ok(
            list.some((i) => i.what.includes(tool)),
            `${type.id}: ${tool}`,
          );
      const pieces = list.filter((i) => i.kind !== 'tool').map((i) => i.what);
      for (const { what } of list.filter((i) => i.kind === 'tool'))
        assert.ok(!pieces.some((piece) => piece.startsWith(what.replace(/s$/, ''))), `${type.id}: ${what} stands twice`);
    }
  });
});
