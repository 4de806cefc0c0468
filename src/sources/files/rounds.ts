/** As often as somebody is asked to run a script; what is open after that stays so. */
export const mostRounds = 3;
