import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

/** Plants an import where it is forbidden: lint that passes everything silently would be no fence. */
async function rulesBrokenBy(code: string, filePath: string): Promise<readonly (string | null)[]> {
  const [result] = await new ESLint().lintText(code, { filePath });
  return result!.messages.map((message) => message.ruleId);
}

describe('the fence between the layers', () => {
  it.each([
    [
      'core may not know the database',
      "import { loadShop } from '../../data/shop-store';\nexport const x = loadShop;\n",
      'src/core/units/figure.ts',
    ],
    [
      'core may not know a screen',
      "import { Comb } from '../../screens/shared/Comb';\nexport const x = Comb;\n",
      'src/core/units/figure.ts',
    ],
    [
      'a lower part of core may not know a higher one',
      "import { computeItemCost } from '../costing';\nexport const x = computeItemCost;\n",
      'src/core/geometry/box.ts',
    ],
    [
      'screens may not know the server',
      "import { getContext } from '../../server/context';\nexport const x = getContext;\n",
      'src/screens/shared/Comb.tsx',
    ],
    [
      'data may not know the server',
      "import { getContext } from '../server/context';\nexport const x = getContext;\n",
      'src/data/shop-store.ts',
    ],
  ])(
    '%s',
    async (_, code, filePath) => {
      expect(await rulesBrokenBy(code, filePath)).toContain('import-x/no-restricted-paths');
    },
    60_000,
  );

  it('lets an allowed import pass', async () => {
    expect(
      await rulesBrokenBy("import { assert } from '../units';\nexport const x = assert;\n", 'src/core/geometry/box.ts'),
    ).toEqual([]);
  }, 60_000);

  it.each([['Date.now()'], ['Math.random()'], ['new Date()'], ['fetch("/")'], ['process.cwd()']])(
    'keeps %s out of core',
    async (call) => {
      expect((await rulesBrokenBy(`export const x = ${call};\n`, 'src/core/units/figure.ts')).length).toBeGreaterThan(
        0,
      );
    },
    60_000,
  );
});
