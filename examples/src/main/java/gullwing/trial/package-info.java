/** Stand-ins: what the port works with at the desk, on the build machine and at a rehearsal. */
package gullwing.trial;
