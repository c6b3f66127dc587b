import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', 'dist', 'src/api/schema.d.ts'] },
  {
    files: ['src/**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      // there are no enums, and no instances of classes are passed about; the two take a third of the time
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      // what a person reads stands in the catalogues
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: 'Say it from the catalogues in src/text.' },
        {
          selector:
            'JSXAttribute[name.name=/^(title|label|placeholder|alt|aria-label)$/] > Literal[value=/[A-Za-z]{2}/]',
          message: 'Say it from the catalogues in src/text.',
        },
        {
          selector:
            'JSXElement > JSXExpressionContainer > ConditionalExpression > Literal[value=/^[A-Za-z][a-z]+ [a-z]/]',
          message: 'Say it from the catalogues in src/text.',
        },
        {
          selector: 'ConditionalExpression > Literal[value=/^[A-Za-z][a-z]+ [a-z]+ [a-z]+/]',
          message: 'Say it from the catalogues in src/text.',
        },
        {
          selector:
            'JSXAttribute[name.name=/^(title|label|placeholder|alt|aria-label)$/] TemplateElement[value.raw=/[A-Za-z]{3}/]',
          message: 'Say it from the catalogues in src/text.',
        },
      ],
    },
  },
);
