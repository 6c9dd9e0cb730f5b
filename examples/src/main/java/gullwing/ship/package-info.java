/** What is aboard: it reaches the port by radio alone. */
package gullwing.ship;
