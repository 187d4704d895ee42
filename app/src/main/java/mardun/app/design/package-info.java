/** Designs with their sizes, pieces, steps and bills, every revision of them, and their pictures. */
package mardun.app.design;
