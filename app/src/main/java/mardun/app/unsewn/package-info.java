/** Cut pieces that weren't sewn: put by, and taken up by a later batch. */
package mardun.app.unsewn;
