/** What only the shore has. */
package gullwing.shore;
