/** The home screen, and the screen beside the machine with the photos of how steps are done. */
package mardun.app.bench;
