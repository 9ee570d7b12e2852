/** Nothing to set; that this file is here keeps the checker from starting Vite to look for it. */
export default {};
