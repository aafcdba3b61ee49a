/** Stands in for style sheets where components are tested: what is looked at there is what is written. */
export default {};
