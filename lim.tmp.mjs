import base from './eslint.config.mjs'
export default [...base, { files:['**/*.{ts,tsx,mjs}'], rules:{'max-len':['warn',{code:120,ignoreUrls:true,ignoreStrings:true,ignoreTemplateLiterals:true,ignoreRegExpLiterals:true}]}},{ files:['src/**/*.{ts,tsx}'], ignores:['**/*.test.*'], rules:{ 'max-lines-per-function':['warn',{max:60}], 'no-nested-ternary':'warn','max-lines':['warn',{max:300}]}}]
