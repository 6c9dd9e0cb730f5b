/** Those who work at the port. None of them knows which implementations it is given. */
package gullwing.quay;
