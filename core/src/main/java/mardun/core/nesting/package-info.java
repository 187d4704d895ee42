/**
 * Shapes laid close together by their true outlines: on the mat of a cutting machine, and head to tail in one block. Millimetres, as floating
 * point: what is laid so is cut by a template or a blade and not by arithmetic.
 */
package mardun.core.nesting;
