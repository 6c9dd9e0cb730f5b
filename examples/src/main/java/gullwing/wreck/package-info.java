/** Parts that are built wrongly, for the file that shows every mistake. */
package gullwing.wreck;
