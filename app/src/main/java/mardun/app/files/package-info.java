/** Lists that come in from files and go out as such, line by line. */
package mardun.app.files;
