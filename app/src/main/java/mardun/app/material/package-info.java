/** Materials, their lots and movements: the one ledger that says what is on the shelf and what it is worth. */
package mardun.app.material;
