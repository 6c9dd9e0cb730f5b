/** The crane: a corner of the quay with a gauge of its own. */
package gullwing.crane;
