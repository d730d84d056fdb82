export default { printWidth: 100, singleQuote: true };
