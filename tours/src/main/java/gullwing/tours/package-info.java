/** Five short programs on the ferry port: what one does with profiles in Java. */
package gullwing.tours;
