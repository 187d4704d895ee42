/** Notes that come back when what they are about comes up again: a step, a piece, a design, a material, a machine. */
package mardun.app.note;
