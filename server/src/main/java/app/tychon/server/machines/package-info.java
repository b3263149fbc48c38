/** The machines that help this server with long runs, where any are configured. */
package app.tychon.server.machines;
