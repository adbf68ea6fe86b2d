/**
 * Faces for tests and benches: layered SVG drawn from a seed, with the truth about it beside. What varies is what varies from one
 * designer's file to the next: the kind of head, which pieces there are and how many layers each has, names, nesting, transforms, size,
 * place, how shapes are painted, what is hidden. The program under test is not used here, so that nothing it gets wrong is repeated.
 */
package app.leeward.faces;
