import { CATALOGUE } from '#core/sets/catalogue';
import { textsOf } from '#core/sets/texts';
import { plainFrame } from '#core/units/frame';

/** `npm run sentences`: every text of the types at sample values, in both systems side by side, as one page to be read from top to bottom. */
const seen = new Set<string>();
console.log('# Every sentence of the types\n');
for (const type of CATALOGUE) {
  console.log(`\n## ${type.name} (${type.id})\n`);
  const [us, metric] = [textsOf(type, plainFrame('us')), textsOf(type, plainFrame('metric'))];
  us.forEach(({ where, text }, n) => {
    const other = metric[n]?.text ?? '';
    const key = `${where} ${text}`;
    if (seen.has(key)) return;
    seen.add(key);
    console.log(`- ${where}: ${text}${other === text ? '' : `\n  - ${other}`}`);
  });
}
