/** A customer's link that leads nowhere says so in the same words, whatever it was to. */
export { default } from '../customer-page/not-found'
