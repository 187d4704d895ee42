/** Fairs, the stall and its day, and how a fair is settled. */
package mardun.app.selling;
