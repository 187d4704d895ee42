/** Price tickets: chosen, set on sheets, printed, and known to hold or not. */
package mardun.app.ticket;
