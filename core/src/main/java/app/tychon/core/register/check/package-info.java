/** Whether a risk register is worth simulating. */
package app.tychon.core.register.check;
