/** Who comes in: the machine itself, and the workroom's devices with a passphrase and a role. */
package mardun.app.door;
