const path = require('node:path');

/** A file that a page fetches, by its name. */
module.exports = {
  process: (_, file) => ({
    code: `module.exports = ${JSON.stringify(`/assets/${path.basename(file)}`)};`,
  }),
};
