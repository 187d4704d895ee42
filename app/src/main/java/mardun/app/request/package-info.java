/** Forms that come twice make one thing. */
package mardun.app.request;
