/** No circles between folders of the core, types counted; tests may look anywhere. */
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [{ name: 'no-circles-of-folders', severity: 'error', scope: 'folder', from: {}, to: { circular: true } }],
  options: { ...options, exclude: { path: '(\\.test|/testing)\\.ts$|/testing/' } },
};
