/** The label printer, a simulated one that ships with the application. */
package mardun.app.printer;
