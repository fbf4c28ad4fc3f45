/** All that can be told without running the program, as commands for node. */
export const checks = {
  format: ['node_modules/prettier/bin/prettier.cjs', '--check', '.'],
  types: ['scripts/types.mjs'],
  lint: ['node_modules/eslint/bin/eslint.js', '.'],
  structure: [
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
  ],
};
