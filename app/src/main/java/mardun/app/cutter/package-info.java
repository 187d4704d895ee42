/** The cutting machine, a simulated one that ships with the application: shapes laid on its mats, and the jobs that are sent to it. */
package mardun.app.cutter;
