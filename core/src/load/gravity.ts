/** m/s². */
export const GRAVITY = 9.81;
