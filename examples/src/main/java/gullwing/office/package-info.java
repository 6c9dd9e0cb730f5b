/** The ferry office: older than the port's other code, and wired by hand. */
package gullwing.office;
